package dipstick.server.region;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.server.web.Problems;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.JsonNode;

/**
 * The levels of a region as they come back (docs/region.md, Answers).
 *
 * @param asked which question it answers
 */
record LevelsFile(String setId, LocalDate asOf, String asked, RegionAnswer.Told told) {
    private static final String FORMAT = "dipstick-region-levels/1";
    private static final int LONGEST_ID = 200;
    private static final int MOST_PRACTICES = 100_000;
    private static final Pattern FINGERPRINT = Pattern.compile("[0-9a-f]{64}");

    static LevelsFile parse(String text) {
        JsonNode json = json(text);
        if (!json.path("format").asString("").equals(FORMAT)) {
            throw refused("its “format” should be " + FORMAT + ", as levels.json of a region has it.");
        }
        String set = json.path("criteria").asString("");
        String asked = json.path("asked").asString("");
        JsonNode practices = json.path("practices");
        if (set.isEmpty()
                || set.length() > LONGEST_ID
                || !FINGERPRINT.matcher(asked).matches()
                || !practices.isArray()
                || practices.isEmpty()
                || practices.size() > MOST_PRACTICES) {
            throw refused("it does not say which set was asked, or of which practices.");
        }
        return new LevelsFile(
                set,
                day(json.path("asOf").asString("")),
                asked,
                new RegionAnswer.Told(
                        Counts.of(json), practices.valueStream().map(Counts::of).toList()));
    }

    private static JsonNode json(String text) {
        try {
            return CriteriaSource.parse("", text).json();
        } catch (InvalidCriteria notJson) {
            throw refused(notJson.first());
        }
    }

    private static LocalDate day(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException noDay) {
            throw refused("it does not say as of which day.");
        }
    }

    private static ErrorResponseException refused(String why) {
        return Problems.refused(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "no-levels-of-a-region",
                "These are no levels of a region: " + why + " Nothing was changed.");
    }
}
