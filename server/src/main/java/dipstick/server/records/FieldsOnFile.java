package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.records.Fields;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** What is on file of a person, each field as a file would write it (criteria.md, section 1). */
@Service
public class FieldsOnFile {
    private final RecordsMapper records;
    private final RecordsLoader loader;

    FieldsOnFile(RecordsMapper records, RecordsLoader loader) {
        this.records = records;
        this.loader = loader;
    }

    /** Those that have a value, by name; none where they are not on file. */
    public SortedMap<String, String> of(String person) {
        Fields fields = loader.fields().people();
        SortedMap<String, String> written = new TreeMap<>();
        records.people(new String[] {person}).stream()
                .map(stored -> RowMapping.person(stored, fields).values())
                .map(Map::entrySet)
                .forEach(all -> all.forEach(one -> written.put(one.getKey(), FieldCell.of(one.getValue()))));
        return written;
    }
}
