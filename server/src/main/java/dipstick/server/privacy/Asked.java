package dipstick.server.privacy;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/**
 * Who asked for something about a person, and why; both are written down.
 *
 * @param askedBy such as “the person, by letter”; no name is needed
 */
record Asked(
        @NotBlank @Size(max = 200) String askedBy,
        @NotBlank @Size(max = 1000) String why) {
    String words() {
        return "asked for by " + askedBy + ": " + why;
    }
}
