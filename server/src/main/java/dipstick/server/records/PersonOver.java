package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What becomes of somebody of whom a source says something: it changes what is its own or nobody's, and fills blanks;
 * what another source brought stays, unless that one gives way.
 */
record PersonOver(PersonRecord after, SaidBy saidBy, List<Otherwise> otherwise) {
    private static final String ID = "id";

    /** Somebody who is new. */
    static PersonOver nobody(PersonRecord said, Saying who) {
        return of(new PersonRecord(said.id(), Map.of()), SaidBy.NOBODY, said, Set.of(), who);
    }

    /** @param spokenOf the fields that a blank clears; not those that another source brought */
    static PersonOver of(PersonRecord before, SaidBy saidBy, PersonRecord said, Set<String> spokenOf, Saying who) {
        Map<String, FieldValue> values = new HashMap<>(before.values());
        Map<String, String> sources = new HashMap<>(saidBy.sources());
        List<Otherwise> otherwise = new ArrayList<>();
        for (String field : spokenOf) {
            if (!said.values().containsKey(field) && who.owns(saidBy.of(field))) {
                values.remove(field);
                sources.remove(field);
            }
        }
        said.values().forEach((field, value) -> {
            FieldValue had = before.values().get(field);
            if (had == null || who.mayChange(saidBy.of(field)) || isWishNotToBeContacted(field, value)) {
                values.put(field, value);
                if (!value.equals(had)) {
                    sources.put(field, who.source());
                }
            } else if (!Otherwise.isSame(had, value)) {
                otherwise.add(new Otherwise(
                        before.id(),
                        "",
                        field,
                        who.source(),
                        FieldCell.of(value),
                        FieldCell.of(had),
                        saidBy.of(field)));
            }
        });
        sources.remove(ID);
        sources.values().removeIf(String::isEmpty);
        return new PersonOver(new PersonRecord(before.id(), values), new SaidBy(sources), List.copyOf(otherwise));
    }

    /** Whoever does not want to be contacted says so to one of the systems; that counts whichever it is. */
    private static boolean isWishNotToBeContacted(String field, FieldValue value) {
        return field.equals("do_not_contact") && value.equals(new FieldValue.OfFlag(true));
    }
}
