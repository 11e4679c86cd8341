package dipstick.core.proof;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * Made-up records and documents as they are written in files, the same for the same seed.
 *
 * @param documents each a set with the sets that it may name after it
 */
public record MadeCase(String people, String events, List<List<String>> documents, LocalDate asOf) {
    public static MadeCase of(int seed, int people, int documents) {
        RandomCase one = RandomCase.of(seed, people);
        RandomDocuments made = one.documents();
        List<List<String>> all = new ArrayList<>();
        for (int i = 0; i < documents; i++) {
            all.add(made.make().stream().map(JsonNode::toString).toList());
        }
        return new MadeCase(one.records().peopleFile(), one.records().eventsFile(), all, one.asOf());
    }
}
