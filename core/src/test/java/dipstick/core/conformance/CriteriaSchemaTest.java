package dipstick.core.conformance;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import dipstick.core.conformance.ConformanceTest.Case;
import dipstick.core.criteria.CriteriaSchema;
import dipstick.core.proof.RandomDocuments;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** The served schema takes every valid document, and turns away those whose shape is wrong. */
class CriteriaSchemaTest {
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(CriteriaSchema.text());

    @ParameterizedTest
    @MethodSource("dipstick.core.conformance.ConformanceTest#validCases")
    void takes_every_valid_document_of_the_kit(Case valid) throws IOException {
        for (JsonNode file : valid.manifest().get("criteria")) {
            String document = Files.readString(valid.folder().resolve(file.asString()));
            assertThat(problems(document)).as(file.asString()).isEmpty();
        }
    }

    @Test
    void takes_random_documents() {
        RandomDocuments.samples(40)
                .forEach(document -> assertThat(problems(document.toString()))
                        .as(document.toString())
                        .isEmpty());
    }

    @ParameterizedTest
    @MethodSource("dipstick.core.conformance.ConformanceTest#invalidCases")
    void turns_away_what_has_an_unknown_key(Case invalid) throws IOException {
        String name = invalid.manifest().get("criteria").get(0).asString();
        String document = Files.readString(invalid.folder().resolve(name));
        assertThat(problems(document.replaceFirst("\\{", "{\"sort of key\": 1, ")))
                .isNotEmpty();
    }

    private static List<Error> problems(String document) {
        return SCHEMA.validate(document, InputFormat.JSON);
    }
}
