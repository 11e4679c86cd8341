package dipstick.server.outreach.desk;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Which of those at a desk are asked for, in which order, and which page of them.
 *
 * @param queue the pile they are in; any where it does not say
 * @param part by its name, one that the list is cut into; all of it where it does not say, or there is no such part
 * @param ownPart where no part is said, the one that is given to whoever asks
 * @param band the name of theirs, empty for none; any where it does not say
 * @param find words of their name, number, phone, provider, site or band
 * @param everybody also those whom the set leaves out, since it shows only so many
 * @param person these alone
 * @param sort a column by which they are sorted; in the order of the set where it does not say, or by due date
 * @param group a column by which they are gathered before
 * @param from how many there are before the first one given
 * @param size how many are given at most; fifty where it does not say
 */
record DeskAsked(
        Optional<Queue> queue,
        Optional<@Size(max = 100) String> part,
        Optional<Boolean> ownPart,
        Optional<@Size(max = 200) String> band,
        Optional<@Size(max = 200) String> find,
        Optional<Boolean> everybody,
        @Size(max = 200) List<@Size(max = 200) String> person,
        Optional<@Size(max = 200) String> sort,
        Optional<Boolean> descending,
        Optional<@Size(max = 200) String> group,
        Optional<@Min(0) Integer> from,
        Optional<@Min(1) @Max(MOST) Integer> size) {
    private static final int PAGE = 50;
    static final int MOST = 1000;

    DeskAsked {
        // What an address does not say is not there.
        person = Objects.requireNonNullElse(person, List.of());
    }

    /** Everybody, or some by their numbers. */
    static DeskAsked of(List<String> people) {
        return new DeskAsked(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(true),
                people,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    boolean isEverybody() {
        return everybody.orElse(false);
    }

    boolean isDescending() {
        return descending.orElse(false);
    }

    int first() {
        return from.orElse(0);
    }

    int most() {
        return size.orElse(PAGE);
    }
}
