package dipstick.server.region;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a region answered to the question of a list.
 *
 * @param asked which question it answers
 */
record RegionAnswer(String setId, LocalDate asOf, String asked, Told told, Instant broughtInAt, String broughtInBy) {
    private static final JsonMapper JSON = JsonMapper.shared();

    /**
     * @param all the practices together
     * @param practices each, in no order that means anything
     */
    record Told(Counts all, List<Counts> practices) {
        Told {
            practices = List.copyOf(practices);
        }

        /** The shares of those practices whose share is told. */
        List<Portion> shares(boolean shouldHave) {
            return practices.stream()
                    .flatMap(practice -> practice.share(shouldHave).stream())
                    .toList();
        }
    }

    /** As it is kept. */
    record Row(String setId, LocalDate asOf, String asked, String counts, Instant broughtInAt, String broughtInBy) {
        RegionAnswer answer() {
            try {
                return new RegionAnswer(
                        setId, asOf, asked, JSON.readValue(counts, Told.class), broughtInAt, broughtInBy);
            } catch (JacksonException neverKept) {
                throw new IllegalStateException(
                        "The region's answer for " + setId + " as of " + asOf + " is not as it was kept", neverKept);
            }
        }
    }

    Row row() {
        return new Row(setId, asOf, asked, JSON.writeValueAsString(told), broughtInAt, broughtInBy);
    }
}
