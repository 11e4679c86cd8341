package dipstick.core.population;

import dipstick.core.records.Field;
import java.util.BitSet;
import java.util.HashMap;
import java.util.Map;

/**
 * A population in which some people are read anew: each of them stands in the place of the one with the same id, or
 * after everybody where there was none, and has only the events that come along. Columns are copied; nobody else's
 * records are read or sorted again.
 */
final class Renewal {
    private final Population before;
    private final Population renewed;

    Renewal(Population before, Population renewed) {
        this.before = before;
        this.renewed = renewed;
    }

    Population population() {
        int[] numberOfRenewed = new int[renewed.size()];
        BitSet replaced = new BitSet(before.size());
        int size = before.size();
        for (int person = 0; person < numberOfRenewed.length; person++) {
            int known = before.find(renewed.idOf(person)).orElse(-1);
            if (known >= 0) {
                replaced.set(known);
            }
            numberOfRenewed[person] = known >= 0 ? known : size++;
        }
        Rows people = people(numberOfRenewed, replaced);
        ColumnJoining joining = new ColumnJoining(people);
        Map<String, Column> columns = new HashMap<>();
        for (Field field : before.personFields().all()) {
            columns.put(field.name(), joining.column(before.column(field), renewed.column(field)));
        }
        Column.OfText ids = (Column.OfText) columns.get("id");
        Events events =
                new EventsRenewal(before.events(), renewed.events(), replaced, numberOfRenewed).events(people, ids);
        return new Population(before.fields(), size, columns, events);
    }

    private Rows people(int[] numberOfRenewed, BitSet replaced) {
        int[] renewedOf = new int[before.size()];
        Rows rows = new Rows();
        for (int person = 0; person < numberOfRenewed.length; person++) {
            if (numberOfRenewed[person] < renewedOf.length) {
                renewedOf[numberOfRenewed[person]] = person;
            }
        }
        for (int person = 0; person < before.size(); person++) {
            if (replaced.get(person)) {
                rows.addSecond(renewedOf[person]);
            } else {
                rows.addFirst(person);
            }
        }
        for (int person = 0; person < numberOfRenewed.length; person++) {
            if (numberOfRenewed[person] >= before.size()) {
                rows.addSecond(person);
            }
        }
        return rows;
    }
}
