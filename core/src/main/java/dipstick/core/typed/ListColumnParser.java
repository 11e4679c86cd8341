package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import dipstick.core.criteria.ListColumn;
import dipstick.core.criteria.ListColumn.Figure;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.typed.Expected.What;
import dipstick.core.wording.ColumnWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads what a list shows, and by what it is ordered. */
final class ListColumnParser {
    private final List<Field> named;
    private final List<OfCriterion> ofCriteria = new ArrayList<>();

    /** A column of a criterion, which has no id yet, and where the criterion stands. */
    private record OfCriterion(ObjectNode column, String pointer) {}

    ListColumnParser(Vocabulary known) {
        this.named = Stream.concat(
                        known.personFields().stream(),
                        ListColumn.OF_LIST.stream().sorted().map(name -> new Field(name, FieldType.TEXT)))
                .toList();
    }

    /** @param document with the criteria that stand before */
    JsonNode column(Cursor cursor, TestParser parser, JsonNode document) throws Mistake {
        int mark = cursor.mark();
        for (Figure figure : Figure.values()) {
            if (cursor.take(ColumnWords.before(figure))) {
                Optional<CriterionPlace> place = place(cursor);
                if (place.isPresent()) {
                    return ofCriterion(cursor, mark, figure, place.get(), document);
                }
                cursor.back(mark);
            }
        }
        return JSON.stringNode(parser.fieldTests().name(named, What.PERSON_FIELD));
    }

    private static Optional<CriterionPlace> place(Cursor cursor) {
        for (String section : CriterionPlace.SECTIONS.keySet()) {
            if (cursor.take(section) && cursor.peek().matches("[1-9]\\d{0,5}")) {
                int number = Integer.parseInt(cursor.peek());
                cursor.pass(1);
                return Optional.of(new CriterionPlace(section, number));
            }
        }
        return Optional.empty();
    }

    private JsonNode ofCriterion(Cursor cursor, int mark, Figure figure, CriterionPlace place, JsonNode document)
            throws Mistake {
        if (document.at(place.pointer()).isMissingNode()) {
            throw cursor.wrong(mark, "There is no criterion “" + place.words() + "” above.");
        }
        ObjectNode column = JSON.objectNode().put("criterion", "").put("column", figure.word());
        ofCriteria.add(new OfCriterion(column, place.pointer()));
        return column;
    }

    /** Names the criteria, now that they have their ids. */
    void name(JsonNode document) {
        ofCriteria.forEach(one -> one.column()
                .put("criterion", document.at(one.pointer()).path("id").asString("")));
    }
}
