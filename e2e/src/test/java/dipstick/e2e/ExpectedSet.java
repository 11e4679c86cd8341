package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the case of a criteria set says of its levels and people, held to what the bench shows. */
final class ExpectedSet {
    private final Browser browser;
    private final JsonNode expected;

    private ExpectedSet(Browser browser, JsonNode expected) {
        this.browser = browser;
        this.expected = expected;
    }

    static ExpectedSet read(Browser browser, Path file) throws IOException {
        return new ExpectedSet(browser, JsonMapper.shared().readTree(file));
    }

    /** The words of how many are on the list. */
    String onList() {
        return expected.at("/list/yes").asInt() + " on the list";
    }

    /**
     * Holds all levels.
     *
     * @param inOrder the ids of the criteria that include and exclude
     * @param shouldHave that of the one that should be met
     */
    void assertLevels(List<String> inOrder, String shouldHave) {
        for (int i = 0; i < inOrder.size(); i++) {
            assertLevel(inOrder.get(i), expected.get("levels").get(i).get("remaining"));
        }
        assertLevel(shouldHave, expected.get("has"));
        assertThat(browser.text("[data-level=list]")).isEqualTo(onList());
        assertThat(browser.text("[data-level=check]"))
                .isEqualTo(expected.at("/list/unsure").asInt() + " can’t tell");
    }

    private void assertLevel(String criterion, JsonNode counts) {
        String line = "[data-criterion='" + criterion + "'] ";
        assertThat(browser.text(line + ".level")).isEqualTo(counts.get("yes").asString());
        String unsure = counts.get("unsure").asInt() == 0 ? "" : counts.get("unsure") + " can’t tell";
        String cannotTell = line + "[data-level=unsure]";
        assertThat(browser.has(cannotTell) ? browser.text(cannotTell) : "").isEqualTo(unsure);
    }

    /** @param state as the case writes it */
    void awaitPeople(String state) {
        List<String> people = expected.get("members")
                .valueStream()
                .filter(member -> member.get("state").asString().equals(state))
                .map(member -> member.get("person").asString())
                .toList();
        browser.until(_ -> shownPeople().size() == people.size());
        assertThat(shownPeople()).containsExactlyInAnyOrderElementsOf(people);
    }

    private List<String> shownPeople() {
        return browser.findAll("[data-person]").stream()
                .map(row -> String.valueOf(row.getDomAttribute("data-person")))
                .toList();
    }
}
