package dipstick.core.criteria;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The saved definition: whom to include, whom to exempt, and what should be on record (criteria.md section 4).
 *
 * @param top how many of those on the list are shown, the first in its order
 */
public record CriteriaSet(
        String id,
        String name,
        String purpose,
        Population population,
        List<Dial> dials,
        List<TermSet> termSets,
        List<Roster> rosters,
        List<Criterion> include,
        List<Criterion> exclude,
        Optional<ShouldHave> shouldHave,
        List<Band> bands,
        List<ListColumn> show,
        List<Order> order,
        Optional<Integer> top) {
    public CriteriaSet {
        dials = List.copyOf(dials);
        termSets = List.copyOf(termSets);
        rosters = List.copyOf(rosters);
        include = List.copyOf(include);
        exclude = List.copyOf(exclude);
        bands = List.copyOf(bands);
        show = List.copyOf(show);
        order = List.copyOf(order);
    }

    /** Who is looked at in the first place. */
    public enum Population {
        LIVING,
        EVERYONE
    }

    public record Order(ListColumn by, boolean descending) {}

    /** All criteria, section by section, those that are off too. */
    public Stream<Criterion> criteria() {
        return criteria(include, exclude, shouldHave);
    }

    static Stream<Criterion> criteria(
            List<Criterion> include, List<Criterion> exclude, Optional<ShouldHave> shouldHave) {
        return Stream.of(
                        include.stream(), exclude.stream(), shouldHave.stream().flatMap(should -> should.of().stream()))
                .flatMap(section -> section);
    }

    /** The set as it would be if a criterion of it were not there. */
    public CriteriaSet without(Criterion criterion) {
        return new CriteriaSet(
                id,
                name,
                purpose,
                population,
                dials,
                termSets,
                rosters,
                without(criterion, include),
                without(criterion, exclude),
                shouldHave.map(should -> new ShouldHave(should.rule(), without(criterion, should.of()))),
                bands,
                show,
                order,
                top);
    }

    private static List<Criterion> without(Criterion criterion, List<Criterion> criteria) {
        return criteria.stream().filter(one -> !one.equals(criterion)).toList();
    }

    /** What should be on record, where any of it is switched on. */
    public Optional<ShouldHave> shouldHaveInForce() {
        return shouldHave.filter(should -> should.of().stream().anyMatch(criterion -> !criterion.off()));
    }
}
