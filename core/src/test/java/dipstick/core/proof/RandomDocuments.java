package dipstick.core.proof;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Made-up documents of section 4: two sets that others name, and one that names them. */
public final class RandomDocuments {
    static final String TERM_SETS = """
            [{"id": "codes", "members": [{"system": "local", "code": "hc1"}, {"code": "KF1"}]},
             {"id": "texts", "members": [{"text": "hearing check", "match": "startsWith"},
                                          {"text": "PANEL", "match": "contains"}]},
             {"id": "mixed", "members": [{"code": "HC2"}, {"keyword": "audiogram"}, {"text": "kidney panel"}]}]""";

    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final String RENEWAL = "renewal";

    private final Random random;
    private final RandomRecords records;
    private final LocalDate asOf;
    private int criteria;

    RandomDocuments(Random random, RandomRecords records, LocalDate asOf) {
        this.random = random;
        this.records = records;
        this.asOf = asOf;
    }

    /** Documents of as many seeds. */
    public static List<ObjectNode> samples(int seeds) {
        return IntStream.range(0, seeds)
                .mapToObj(seed -> {
                    Random random = new Random(seed);
                    LocalDate asOf = RandomRecords.asOf(random);
                    return new RandomDocuments(random, new RandomRecords(random, asOf), asOf).make();
                })
                .flatMap(List::stream)
                .toList();
    }

    static Map<String, JsonNode> byId(String json) {
        return byId(JsonMapper.shared().readTree(json));
    }

    static Map<String, JsonNode> byId(JsonNode list) {
        return list.valueStream()
                .collect(Collectors.toMap(part -> part.get("id").asString(), part -> part));
    }

    /** The set that is evaluated comes first; the others are those that it may name. */
    List<ObjectNode> make() {
        ObjectNode inner = document("inner", List.of());
        ObjectNode middle = document("middle", List.of("inner"));
        return List.of(document("outer", List.of("inner", "middle")), middle, inner);
    }

    private ObjectNode document(String id, List<String> sets) {
        criteria = 0;
        RandomTests tests = new RandomTests(random, records, asOf, sets, List.of("letters"));
        ObjectNode document = JSON.objectNode()
                .put("format", "dipstick-criteria/1")
                .put("id", id)
                .put("name", "Set " + id);
        if (random.nextInt(3) == 0) {
            document.put("population", records.of(List.of("living", "everyone")));
        }
        document.set("dials", dials());
        document.set("termSets", JsonMapper.shared().readTree(TERM_SETS));
        document.set("rosters", JSON.arrayNode().add(roster()));
        document.set("include", criteria(tests, random.nextInt(3)));
        document.set("exclude", criteria(tests, random.nextInt(3)));
        if (random.nextInt(5) > 0) {
            document.set("shouldHave", shouldHave(tests));
        }
        document.set("bands", bands(tests));
        return document;
    }

    private ArrayNode dials() {
        ObjectNode period = JSON.objectNode()
                .put("name", RENEWAL)
                .put("label", "Renew every")
                .put("type", "period")
                .put("default", records.period());
        ObjectNode sites =
                JSON.objectNode().put("name", "sites").put("label", "At").put("type", "texts");
        sites.set("default", JSON.arrayNode().add(records.of(RandomRecords.SITES)));
        return JSON.arrayNode().add(period).add(sites.put("choicesFrom", "site"));
    }

    private ObjectNode roster() {
        ObjectNode roster = JSON.objectNode().put("id", "letters").put("name", "No letters");
        roster.set("key", JSON.arrayNode().add("family_name").add("birth_date"));
        ArrayNode rows = JSON.arrayNode();
        for (int i = random.nextInt(4); i > 0; i--) {
            JsonNode name = random.nextInt(6) == 0
                    ? JSON.nullNode()
                    : JSON.stringNode(records.of(RandomRecords.NAMES).toLowerCase(Locale.ROOT));
            rows.add(JSON.arrayNode().add(name).add(records.birth()));
        }
        return roster.set("rows", rows);
    }

    private ArrayNode criteria(RandomTests tests, int count) {
        ArrayNode made = JSON.arrayNode();
        for (int i = 0; i < count; i++) {
            made.add(criterion(random.nextInt(6) == 0 ? atSites() : tests.test(1)));
        }
        return made;
    }

    private ObjectNode criterion(ObjectNode test) {
        ObjectNode criterion = JSON.objectNode().put("id", "c" + criteria++);
        criterion.set("test", test);
        if (random.nextInt(3) == 0) {
            criterion.put("unsure", records.of(List.of("ask", "meets", "fails")));
        }
        if (random.nextInt(10) == 0) {
            criterion.put("off", true);
        }
        return criterion;
    }

    private static ObjectNode atSites() {
        return JSON.objectNode()
                .put("field", "site")
                .set("in", JSON.objectNode().put("dial", "sites"));
    }

    private ObjectNode shouldHave(RandomTests tests) {
        ArrayNode of = JSON.arrayNode();
        for (int i = random.nextInt(4); i > 0; i--) {
            of.add(criterion(random.nextInt(4) == 0 ? tests.test(1) : renewable(tests)));
        }
        ObjectNode section = JSON.objectNode();
        switch (random.nextInt(3)) {
            case 0 -> section.put("rule", "any");
            case 1 -> section.put("rule", "all");
            default -> section.set("rule", JSON.objectNode().put("atLeast", random.nextInt(4)));
        }
        return section.set("of", of);
    }

    private ObjectNode renewable(RandomTests tests) {
        ObjectNode selection = tests.selection();
        ObjectNode last = JSON.objectNode();
        if (random.nextBoolean()) {
            last.put("last", records.period());
        } else {
            last.set("last", JSON.objectNode().put("dial", RENEWAL));
        }
        selection.set("window", last);
        ObjectNode test = JSON.objectNode().set("events", selection);
        return random.nextInt(3) > 0
                ? test
                : test.set("count", JSON.objectNode().put("atLeast", random.nextInt(3)));
    }

    private ArrayNode bands(RandomTests tests) {
        ArrayNode bands = JSON.arrayNode();
        for (int i = random.nextInt(4); i > 0; i--) {
            ObjectNode when = switch (random.nextInt(3)) {
                case 0 -> JSON.objectNode().put("overdue", "never");
                case 1 -> JSON.objectNode().set("overdue", JSON.objectNode().put("atLeast", records.period()));
                default -> tests.test(0);
            };
            bands.add(JSON.objectNode().put("name", "Band " + i).set("when", when));
        }
        return bands;
    }
}
