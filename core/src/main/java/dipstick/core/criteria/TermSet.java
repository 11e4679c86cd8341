package dipstick.core.criteria;

import java.util.List;
import java.util.Optional;

/** The many names that mean one thing (criteria.md section 4). All texts are normalised. */
public record TermSet(String id, String name, List<Member> members) {
    public TermSet {
        members = List.copyOf(members);
    }

    /** One code or wording. */
    public sealed interface Member {
        /** An event with this code and, where it is given, this system. */
        record Code(Optional<String> system, String code) implements Member {}

        record Text(String text, Match match) implements Member {}

        record Keyword(String keyword) implements Member {}
    }

    /** How a member's text meets an event's. */
    public enum Match {
        IS,
        STARTS_WITH,
        CONTAINS;

        public boolean holds(String eventText, String memberText) {
            return switch (this) {
                case IS -> eventText.equals(memberText);
                case STARTS_WITH -> eventText.startsWith(memberText);
                case CONTAINS -> eventText.contains(memberText);
            };
        }
    }
}
