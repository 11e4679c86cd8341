package dipstick.server.web;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The file beside a CSV that says what it is, who took it out, when and why, so that the table holds its rows alone
 * (W3C Metadata Vocabulary for Tabular Data, https://www.w3.org/TR/tabular-metadata/).
 *
 * @param url of the table, by which a reader finds the two belong together
 * @param why may be blank
 */
public record TableMetadata(String url, String title, String who, Instant when, String why, List<String> columns) {
    /** What the name of the file ends with, after the name of the table. */
    public static final String ENDING = "-metadata.json";

    public static final String TYPE = "application/csvm+json";

    /** As UTF-8. */
    public byte[] bytes() {
        return json().toPrettyString().getBytes(StandardCharsets.UTF_8);
    }

    private JsonNode json() {
        ObjectNode json = JsonNodeFactory.instance.objectNode();
        json.put("@context", "http://www.w3.org/ns/csvw");
        json.put("url", url);
        json.put("dc:title", title);
        json.put("dc:creator", who);
        json.put("dc:created", when.toString());
        if (!why.isBlank()) {
            json.put("dc:description", why.strip());
        }
        json.putObject("dialect").put("encoding", "utf-8").put("header", true);
        ArrayNode titles = json.putObject("tableSchema").putArray("columns");
        columns.forEach(column -> titles.addObject().put("titles", column));
        return json;
    }
}
