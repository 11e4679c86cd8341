package dipstick.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.population.PopulationBuilder;
import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RowProblem;
import dipstick.core.records.RowSink;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TermsTest {
    private static final String EVENTS = """
            person_id,kind,code,system,text,keywords
            p1,visit,HC1,local,Hearing check,audiogram; ear
            p1,visit,HC1,local,Hearing check yearly,
            p1,visit,hc1,harbour,,Audiogram
            p1,result,KF1,lab,Renal panel,
            p1,visit,,,HEARING  check,
            """;

    @Test
    void finds_codes_by_their_wording_and_counts_every_spelling_together() throws Exception {
        assertThat(find("hearing"))
                .extracting(term -> term.sort() + " " + term.term() + " " + term.system() + " " + term.records())
                .containsExactlyInAnyOrder("TEXT Hearing check  2", "TEXT Hearing check yearly  1", "CODE HC1 local 2");
    }

    @Test
    void finds_codes_keywords_and_everything() throws Exception {
        assertThat(find("HC"))
                .extracting(term -> term.system() + " " + term.says())
                .containsExactlyInAnyOrder("local Hearing check", "harbour ");
        assertThat(find("audio")).extracting(Terms.Term::records).containsExactly(2);
        assertThat(find("")).hasSize(8);
        assertThat(find("nothing of the kind")).isEmpty();
    }

    private static List<Terms.Term> find(String words) throws Exception {
        PopulationBuilder builder = new PopulationBuilder(Fields.PERSON);
        builder.add(new PersonRecord("p1", Map.of("id", new FieldValue.OfText("p1"))));
        EventsFile.open(new ByteArrayInputStream(EVENTS.getBytes(StandardCharsets.UTF_8)), ZoneOffset.UTC)
                .forEach(new RowSink<>() {
                    @Override
                    public void record(long line, EventRecord row) {
                        builder.add(row);
                    }

                    @Override
                    public void problem(RowProblem problem) {
                        throw new AssertionError(problem.toString());
                    }
                });
        return Terms.find(builder.seal().events(), words);
    }
}
