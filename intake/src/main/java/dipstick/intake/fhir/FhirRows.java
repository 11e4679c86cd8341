package dipstick.intake.fhir;

import dipstick.intake.fhir.Resources.Resource;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Optional;
import java.util.Queue;

/**
 * HL7 FHIR R4 in JSON as rows: a row for each Patient, one or more for each resource that becomes a record, and one that
 * says so for each that becomes nothing. The place of a row is that of its resource, counted from 1.
 */
public final class FhirRows implements Rows {
    private final Resources resources;
    private final PatientRow patients;
    private final RecordRows records;
    private final Queue<Row> ready = new ArrayDeque<>();

    private FhirRows(Resources resources, References references) {
        this.resources = resources;
        this.patients = new PatientRow(references);
        this.records = new RecordRows(references);
        ready.add(OwnRow.header());
    }

    /** Reads the file once for its references, and then a second time row by row. */
    public static FhirRows open(Path file, Charset charset) throws IOException {
        References references = References.of(file, charset);
        return new FhirRows(Resources.open(file, charset, _ -> true), references);
    }

    @Override
    public Optional<Row> next() throws IOException {
        while (ready.isEmpty()) {
            Optional<Resource> resource = resources.next();
            if (resource.isEmpty()) {
                return Optional.empty();
            }
            rows(resource.get()).forEach(row -> ready.add(row.at(resource.get().place())));
        }
        return Optional.of(ready.remove());
    }

    private List<OwnRow> rows(Resource resource) {
        String type = resource.type();
        if (resource.isUnreadable()) {
            return List.of(OwnRow.of("line")
                    .put(OwnColumn.UNREADABLE, "This line is no JSON, or it is cut off; the others were read"));
        }
        if (type.isEmpty()) {
            return List.of(OwnRow.of("entry").passedOver("Entry without a resource"));
        }
        if (type.equals("Patient")) {
            OwnRow row = patients.of(resource);
            return List.of(
                    row.get(OwnColumn.NUMBER).isEmpty()
                            ? OwnRow.of(type).passedOver("Patient without an identifier or an id")
                            : row);
        }
        return RecordShape.of(type)
                .map(shape -> records.of(resource, shape))
                .orElseGet(() -> List.of(OwnRow.of(type).passedOver(type + ", of which no record is made")));
    }

    @Override
    public void close() throws IOException {
        resources.close();
    }
}
