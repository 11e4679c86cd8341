package dipstick.server.demo;

import dipstick.core.records.FieldValue;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.IntFunction;
import tools.jackson.databind.json.JsonMapper;

/** Files of open standards as systems beside the invented practice write them. */
final class DemoFeeds {
    private static final int PEOPLE = 30;
    private static final long SEED = 78;
    private static final DateTimeFormatter RUN = DateTimeFormatter.ofPattern("yyyyMMdd", Locale.ROOT);
    private static final JsonMapper JSON = JsonMapper.shared();

    private final IntFunction<DemoPerson> people;
    private final LocalDate today;

    DemoFeeds(IntFunction<DemoPerson> people, LocalDate today) {
        this.people = people;
        this.today = today;
    }

    private static String text(DemoPerson person, String field) {
        return person.record().values().get(field) instanceof FieldValue.OfText(String text) ? text : "";
    }

    /** A region's vaccinations as a bulk export of FHIR: people by ids of its own, and the practice's number beside. */
    String vaccinations() {
        Chance chance = Chance.of(SEED, 1);
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < PEOPLE; i++) {
            DemoPerson person = people.apply(i + 120);
            String id = "reg-" + (7000 + i);
            line(
                    lines,
                    Map.of(
                            "resourceType",
                            "Patient",
                            "id",
                            id,
                            "identifier",
                            List.of(Map.of(
                                    "type", Map.of("coding", List.of(Map.of("code", "MR"))), "value", person.id())),
                            "name",
                            List.of(Map.of(
                                    "family",
                                    text(person, "family_name"),
                                    "given",
                                    List.of(text(person, "given_name")))),
                            "birthDate",
                            person.birth().toString()));
            Map<String, Object> vaccination = new LinkedHashMap<>();
            vaccination.put("resourceType", "Immunization");
            vaccination.put("id", "imm-" + i);
            vaccination.put("status", chance.percent(15) ? "not-done" : "completed");
            vaccination.put("patient", Map.of("reference", "Patient/" + id));
            vaccination.put(
                    "vaccineCode",
                    Map.of(
                            "coding",
                            List.of(
                                    Map.of(
                                            "system",
                                            "urn:region:vaccines",
                                            "code",
                                            "flu",
                                            "display",
                                            "Flu vaccination"),
                                    Map.of("system", "local", "code", "VFL1"))));
            vaccination.put(
                    "occurrenceDateTime", today.minusDays(chance.between(5, 60)).toString());
            line(lines, vaccination);
        }
        line(lines, Map.of("resourceType", "Device", "id", "fridge-1"));
        return lines.toString();
    }

    private static void line(StringBuilder lines, Map<String, ?> resource) {
        lines.append(JSON.writeValueAsString(resource)).append('\n');
    }

    /** A hospital's messages: new addresses, results, and one of a kind that is not read. */
    String hospital() {
        Chance chance = Chance.of(SEED, 2);
        StringBuilder messages = new StringBuilder();
        for (int i = 0; i < PEOPLE; i++) {
            DemoPerson person = people.apply(i + 160);
            String pid = "PID|1||" + person.id() + "^^^OTTERBROOK^MR~H" + (90_000 + i) + "^^^HOSPITAL^PI||"
                    + text(person, "family_name") + "^" + text(person, "given_name") + "^^^^^L||"
                    + RUN.format(person.birth()) + "\r";
            String day = RUN.format(today.minusDays(chance.between(1, 9)));
            if (i % 5 == 0) {
                header(messages, day, "ADT^A08", i)
                        .append(pid.replace("\r", "||||1 Weir Lane^^Otterbrook^^OT1 2AB^^H\r"));
            }
            header(messages, day, "ORU^R01", 500 + i)
                    .append(pid)
                    .append("OBR|1||H-" + i + "|GFR^eGFR^local|||" + day + "0900\r")
                    .append("OBX|1|SN|GFR^eGFR^local||" + (chance.percent(30) ? ">^90" : "^" + chance.between(25, 89))
                            + "|mL/min|||||F\r");
        }
        header(messages, RUN.format(today), "ADT^A60", 999).append("PID|1||0\r");
        return messages.toString();
    }

    private static StringBuilder header(StringBuilder messages, String day, String type, int id) {
        return messages.append("MSH|^~\\&|WARD|HOSPITAL|||" + day + "0900||" + type + "|" + id + "|P|2.5.1\r");
    }
}
