package dipstick.server.prompts;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * When colleagues and record systems are told of those on a list.
 *
 * @param sentence what may be said to them, as the coordinator writes it; empty for none
 */
record PromptRule(
        boolean whenOpened,
        boolean whenComingIn,
        boolean toRecordSystems,
        @NotNull @Size(max = 500) String sentence) {
    /** What holds until somebody says otherwise. */
    static final PromptRule NONE = new PromptRule(false, false, false, "");

    boolean holdsAt(Moment moment) {
        return switch (moment) {
            case OPENED -> whenOpened;
            case COMING_IN -> whenComingIn;
            case RECORD_SYSTEM -> toRecordSystems;
        };
    }
}
