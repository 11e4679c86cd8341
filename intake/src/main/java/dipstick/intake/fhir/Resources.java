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
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The resources of a file one by one, whether it holds one, a Bundle (<a href="https://hl7.org/fhir/R4/bundle.html">R4</a>)
 * however long its line, or one after another as bulk exports write them. Never more than one of them is in memory.
 */
final class Resources implements Closeable {
    /** More may follow any part of a file, also where a parser thinks that it is at the end. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .disable(StreamReadFeature.AUTO_CLOSE_SOURCE)
            .build();

    private static final char MARK = '\uFEFF';

    private final Lines lines;
    private final Predicate<String> wanted;
    private JsonParser parser;
    private long place;
    private boolean inEntries;
    /** The line in which a root begins that is a line of its own; 0 for one that is not. */
    private long lineOfRoot;
    /** How many there were before what the parser reads. */
    private long linesBefore;
    /** Lines that were passed, and are still to be told. */
    private long unreadable;
    /** What a root says besides its entries. */
    private ObjectNode root = JSON.createObjectNode();

    /**
     * @param place which one it is in its file, counted from 1
     * @param isUnreadable whether it is none, and there is no {@code json}
     */
    record Resource(long place, String fullUrl, JsonNode json, boolean isUnreadable) {
        static Resource of(long place, String fullUrl, JsonNode json) {
            return new Resource(place, fullUrl, json, false);
        }

        static Resource unreadable(long place) {
            return new Resource(place, "", MissingNode.getInstance(), true);
        }

        String type() {
            return json.path("resourceType").asString("");
        }

        String id() {
            return json.path("id").asString("");
        }
    }

    private Resources(Lines lines, Predicate<String> wanted) {
        this.lines = lines;
        this.parser = JSON.createParser(lines);
        this.wanted = wanted;
    }

    /** @param wanted the types of resources of which more than the type is read where they stand by themselves */
    static Resources open(Path file, Charset charset, Predicate<String> wanted) throws IOException {
        BufferedReader text = new BufferedReader(new InputStreamReader(Files.newInputStream(file), charset), 1 << 16);
        text.mark(8);
        if (text.read() != MARK) {
            text.reset();
        }
        return new Resources(new Lines(text), wanted);
    }

    /**
     * Where each is a line of its own, one that cannot be read is passed, and the next line goes on.
     *
     * @throws UnreadableRows where the rest is no JSON, or is cut off
     */
    Optional<Resource> next() throws IOException {
        if (unreadable == 0) {
            try {
                return inEntries ? nextEntry() : nextRoot();
            } catch (JacksonException broken) {
                unreadable = linesPassed();
                if (unreadable == 0) {
                    int line = broken.getLocation() == null
                            ? 1
                            : broken.getLocation().getLineNr();
                    throw new UnreadableRows(
                            linesBefore + Math.max(1, line),
                            "From here on the file is no JSON, or it is cut off, after " + place
                                    + (place == 1 ? " whole resource." : " whole resources."));
                }
                parser = JSON.createParser(lines);
                linesBefore = lines.line();
            }
        }
        unreadable--;
        return Optional.of(Resource.unreadable(++place));
    }

    /**
     * How many lines are left out so that reading can go on; none where it cannot. Before a blank line a file ends that is
     * one of several: what is cut off there lacks nobody knows how much.
     */
    private long linesPassed() throws IOException {
        if (inEntries || lineOfRoot == 0 || lines.lastBlank() > lineOfRoot) {
            return 0;
        }
        if (lines.line() > lineOfRoot && lines.beginsLineOfItsOwn()) {
            // The line before it was cut off, and this one is whole.
            lines.giveAgain();
            return lines.line() - lineOfRoot + 1;
        }
        return lines.line() == lineOfRoot && lines.goOnAfterLine() ? 1 : 0;
    }

    private Optional<Resource> nextRoot() {
        lineOfRoot = 0;
        JsonToken token = parser.nextToken();
        if (token == null) {
            return Optional.empty();
        }
        if (token != JsonToken.START_OBJECT) {
            throw new UnreadableRows(
                    linesBefore + parser.currentTokenLocation().getLineNr(),
                    "A FHIR resource begins with a brace; this does not.");
        }
        root = JSON.createObjectNode();
        if (lines.beginsLineOfItsOwn()) {
            lineOfRoot = lines.line();
        } else {
            lines.noLines();
        }
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
        return Optional.of(Resource.of(++place, "", root));
    }

    private Optional<Resource> nextEntry() {
        if (parser.nextToken() == JsonToken.END_ARRAY) {
            inEntries = false;
            return restOfRoot();
        }
        JsonNode entry = JSON.readTree(parser);
        return Optional.of(Resource.of(++place, entry.path("fullUrl").asString(""), entry.path("resource")));
    }

    @Override
    public void close() throws IOException {
        parser.close();
        lines.close();
    }
}
