package dipstick.core.criteria;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/**
 * The JSON Schema (2020-12) of a document: its shape, for editors and programs that write documents. What names refer to
 * is checked by {@link CriteriaReader}.
 */
public final class CriteriaSchema {
    private CriteriaSchema() {}

    public static String text() {
        try (InputStream schema = CriteriaSchema.class.getResourceAsStream("criteria-1.schema.json")) {
            if (schema == null) {
                throw new IllegalStateException("criteria-1.schema.json was not packaged");
            }
            return new String(schema.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }
}
