package dipstick.intake.fhir;

import dipstick.intake.rows.UnreadableRows;
import java.io.BufferedReader;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Predicate;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The resources of a file one by one, whether it holds one, a Bundle (<a href="https://hl7.org/fhir/R4/bundle.html">R4</a>)
 * however long its line, or one after another as bulk exports write them. Never more than one of them is in memory.
 */
final class Resources implements Closeable {
    /** More may follow any part of a file. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private static final char MARK = '\uFEFF';

    private final JsonParser parser;
    private final Predicate<String> wanted;
    private long place;
    private boolean inEntries;
    /** What a root says besides its entries. */
    private ObjectNode root = JSON.createObjectNode();

    /** @param place which one it is in its file, counted from 1 */
    record Resource(long place, String fullUrl, JsonNode json) {
        String type() {
            return json.path("resourceType").asString("");
        }

        String id() {
            return json.path("id").asString("");
        }
    }

    private Resources(JsonParser parser, Predicate<String> wanted) {
        this.parser = parser;
        this.wanted = wanted;
    }

    /** @param wanted the types of resources of which more than the type is read where they stand by themselves */
    static Resources open(Path file, Charset charset, Predicate<String> wanted) throws IOException {
        BufferedReader text = new BufferedReader(new InputStreamReader(Files.newInputStream(file), charset), 1 << 16);
        text.mark(8);
        if (text.read() != MARK) {
            text.reset();
        }
        return new Resources(JSON.createParser(text), wanted);
    }

    /** @throws UnreadableRows where the rest is no JSON, or is cut off */
    Optional<Resource> next() {
        try {
            return inEntries ? nextEntry() : nextRoot();
        } catch (JacksonException broken) {
            int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNr();
            throw new UnreadableRows(
                    Math.max(1, line),
                    "From here on the file is no JSON, or it is cut off, after " + place + " whole resources.");
        }
    }

    private Optional<Resource> nextRoot() {
        JsonToken token = parser.nextToken();
        if (token == null) {
            return Optional.empty();
        }
        if (token != JsonToken.START_OBJECT) {
            throw new UnreadableRows(
                    parser.currentLocation().getLineNr(), "A FHIR resource begins with a brace; this does not.");
        }
        root = JSON.createObjectNode();
        return restOfRoot();
    }

    /** Goes on in a root to its first entry, or to its end. */
    private Optional<Resource> restOfRoot() {
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            String name = parser.currentName();
            JsonToken value = parser.nextToken();
            String type = root.path("resourceType").asString("Bundle");
            if (name.equals("entry") && value == JsonToken.START_ARRAY && type.equals("Bundle")) {
                inEntries = true;
                return nextEntry();
            }
            boolean isKnownOtherwise = root.has("resourceType") && !type.equals("Bundle") && !wanted.test(type);
            if (isKnownOtherwise) {
                parser.skipChildren();
            } else {
                root.set(name, JSON.readTree(parser));
            }
        }
        if (root.path("resourceType").asString("").equals("Bundle")) {
            return nextRoot();
        }
        return Optional.of(new Resource(++place, "", root));
    }

    private Optional<Resource> nextEntry() {
        if (parser.nextToken() == JsonToken.END_ARRAY) {
            inEntries = false;
            return restOfRoot();
        }
        JsonNode entry = JSON.readTree(parser);
        return Optional.of(new Resource(++place, entry.path("fullUrl").asString(""), entry.path("resource")));
    }

    @Override
    public void close() {
        parser.close();
    }
}
