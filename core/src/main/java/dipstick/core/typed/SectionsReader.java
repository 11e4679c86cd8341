package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads the parts of a set's text that say what it means: criteria, bands, what is shown and in which order. */
final class SectionsReader {
    private final ObjectNode document;
    private final LineReader lines;
    private final ListColumnParser columns;

    SectionsReader(ObjectNode document, Vocabulary known, List<Mistake> mistakes) {
        this.document = document;
        this.lines = new LineReader(known, mistakes);
        this.columns = new ListColumnParser(known);
    }

    /** Gives columns of criteria their ids, once the criteria have them. */
    void nameCriteria() {
        columns.name(document);
    }

    void read(Block block) {
        lines.read(block.heading(), (cursor, parser) -> section(block, cursor, parser));
    }

    private void section(Block block, Cursor cursor, TestParser parser) throws Mistake {
        if (cursor.take(Heading.EVERYONE)) {
            document.put("population", "everyone");
        } else if (cursor.take(Heading.INCLUDE)) {
            criteria(block, document.withArray("include"));
        } else if (cursor.take(Heading.EXCLUDE)) {
            criteria(block, document.withArray("exclude"));
        } else if (cursor.take(Heading.SHOULD_HAVE)) {
            ObjectNode should = document.putObject("shouldHave");
            should.set("rule", rule(cursor, parser.values()));
            cursor.need("of these");
            criteria(block, should.putArray("of"));
        } else if (cursor.take(Heading.BANDS)) {
            ArrayNode bands = document.withArray("bands");
            block.lines().forEach(line -> lines.read(line, (at, words) -> bands.add(band(at, words))));
        } else if (cursor.take(Heading.SHOW)) {
            document.set("show", parser.values().list(() -> columns.column(cursor, parser, document)));
        } else if (cursor.take(Heading.TOP)) {
            document.set("top", parser.values().number());
        } else {
            cursor.need(Heading.ORDER);
            order(cursor, parser);
        }
    }

    private static JsonNode rule(Cursor cursor, ValueParser values) throws Mistake {
        for (String rule : List.of("any", "all")) {
            if (cursor.take(rule)) {
                return JSON.stringNode(rule);
            }
        }
        cursor.need("at least");
        return JSON.objectNode().set("atLeast", values.number());
    }

    private void criteria(Block block, ArrayNode section) {
        block.lines().forEach(line -> lines.read(line, (cursor, parser) -> section.add(criterion(cursor, parser))));
    }

    private static ObjectNode criterion(Cursor cursor, TestParser parser) throws Mistake {
        ObjectNode criterion = JSON.objectNode();
        if (cursor.take("( off )")) {
            criterion.put("off", true);
        }
        if (cursor.isLabel()) {
            criterion.put("label", parser.values().plainText());
            cursor.need(":");
        }
        criterion.set("test", parser.test());
        if (cursor.take(";")) {
            boolean yes = cursor.takeAny("can’t tell counts as yes", "can't tell counts as yes");
            if (!yes && !cursor.takeAny("can’t tell counts as no", "can't tell counts as no")) {
                throw cursor.stuck();
            }
            criterion.put("unsure", yes ? "meets" : "fails");
        }
        return criterion;
    }

    private static ObjectNode band(Cursor cursor, TestParser parser) throws Mistake {
        ObjectNode band = JSON.objectNode().put("name", parser.values().plainText());
        cursor.need(":");
        return band.set("when", new BandParser(cursor, parser).when());
    }

    private void order(Cursor cursor, TestParser parser) throws Mistake {
        do {
            ObjectNode by = document.withArray("order").addObject();
            by.set("by", columns.column(cursor, parser, document));
            if (cursor.take("from last to first")) {
                by.put("descending", true);
            }
        } while (cursor.take(","));
    }
}
