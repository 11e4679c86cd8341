package dipstick.core.typed;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import java.util.List;
import java.util.Map;

/** Where a criterion stands in a set's text, which carries no ids: “include 2”. */
record CriterionPlace(String section, int number) {
    /** By the words of a section, where it stands in the document. */
    static final Map<String, String> SECTIONS =
            Map.of("include", "/include", "exclude", "/exclude", "should have", "/shouldHave/of");

    static CriterionPlace of(Criterion criterion, CriteriaSet set) {
        Map<String, List<Criterion>> sections = Map.of(
                "include", set.include(),
                "exclude", set.exclude(),
                "should have", set.shouldHave().map(ShouldHave::of).orElse(List.of()));
        return sections.entrySet().stream()
                .filter(section -> section.getValue().contains(criterion))
                .map(section ->
                        new CriterionPlace(section.getKey(), section.getValue().indexOf(criterion) + 1))
                .findFirst()
                .orElseThrow();
    }

    String words() {
        return section + " " + number;
    }

    /** As a JSON Pointer into the document. */
    String pointer() {
        return SECTIONS.get(section) + "/" + (number - 1);
    }
}
