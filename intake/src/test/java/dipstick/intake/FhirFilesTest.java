package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.intake.files.Together;
import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** FHIR R4 as other systems write it. */
class FhirFilesTest {
    private static final String ADA = """
            {"resourceType":"Patient","id":"p1","active":true,
             "identifier":[{"value":"N-77","system":"urn:harbour"},{"type":{"coding":[{"code":"MR"}]},"value":"0012"}],
             "name":[{"use":"maiden","family":"Quill"},{"use":"official","family":"Marl","given":["Ada","Jo"]}],
             "gender":"female","birthDate":"1961-05",
             "telecom":[{"system":"phone","use":"old","value":"1"},{"system":"phone","use":"mobile","value":"01632 960001"},
                        {"system":"email","value":"ada@example.org"}],
             "address":[{"use":"home","line":["1 Weir Lane","Flat 2"],"city":"Otterbrook","postalCode":"OT1 2AB"}],
             "generalPractitioner":[{"reference":"Practitioner/d1"}],
             "communication":[{"language":{"text":"Welsh"},"preferred":true}]}""";

    @TempDir
    private Path folder;

    private Made made(String text) throws IOException {
        Path file = Files.writeString(folder.resolve("export.json"), text);
        return Made.of(file, propose(file).intake());
    }

    private static Proposal propose(Path file) throws IOException {
        return Proposing.of("export.json", file, Proposing.Asked.in(2026));
    }

    private static String bundle(String... resources) {
        return "{\"entry\":["
                + String.join(
                        ",",
                        List.of(resources).stream()
                                .map(one -> "{\"resource\":" + one + "}")
                                .toList())
                + "],\"type\":\"collection\",\"resourceType\":\"Bundle\"}";
    }

    private static String line(String resource) {
        return resource.replaceAll("\\s*\\n\\s*", "");
    }

    @Test
    void a_bundle_whose_type_stands_behind_its_entries_names_people_with_all_that_is_said_of_them() throws IOException {
        Path file = Files.writeString(folder.resolve("export.json"), bundle(ADA, """
                {"resourceType":"Practitioner","id":"d1","name":[{"prefix":["Dr"],"family":"Vask","given":["Bo"]}]}"""));
        Proposal proposal = propose(file);

        assertThat(proposal.questions()).isEmpty();
        assertThat(proposal.format()).isEqualTo("FHIR R4 resources (JSON)");
        Made made = Made.of(file, proposal.intake());
        assertThat(made.peopleInWords())
                .containsExactly(
                        "{address=1 Weir Lane, Flat 2, birth_date=1961-05, city=Otterbrook, email=ada@example.org, family_name=Marl,"
                                + " given_name=Ada Jo, id=0012, language=Welsh, mobile=01632 960001, postcode=OT1 2AB,"
                                + " provider=Dr Bo Vask, sex=female, status=active}");
        assertThat(made.otherNumbers).as("by which the source knows her, too").containsExactly("0012 N-77", "0012 p1");
        assertThat(made.troubles)
                .extracting(Trouble::said)
                .containsExactly("Practitioner, of which no record is made.");
    }

    @Test
    void lines_of_a_bulk_export_keep_all_codings_and_parts_of_a_result() throws IOException {
        Made made = made(line(ADA) + "\n" + line("""
                {"resourceType":"Observation","id":"o1","status":"final","subject":{"reference":"Patient/p1"},
                 "category":[{"coding":[{"code":"vital-signs"}]}],
                 "code":{"coding":[{"system":"http://loinc.org","code":"85354-9","display":"Pressure"},
                                   {"system":"local","code":"bp","userSelected":true}]},
                 "effectiveDateTime":"2026-03-01T23:30:00Z","issued":"2026-03-02T08:00:00Z",
                 "component":[{"code":{"coding":[{"code":"sys"}]},"valueQuantity":{"value":141,"unit":"mmHg"}},
                              {"code":{"coding":[{"code":"dia"}]},"valueQuantity":{"comparator":"<","value":90,"unit":"mmHg"}}]}
                """) + "\n");

        assertThat(made.eventsInWords())
                .containsExactly(
                        "{also_coded=85354-9|http://loinc.org, code=bp, id=export/Observation/o1, keywords=vital-signs, kind=result,"
                                + " on=2026-03-01, person_id=0012, recorded_on=2026-03-02, source=export, status=final, system=local,"
                                + " text=Pressure}",
                        "{code=sys, id=export/Observation/o1#1, keywords=vital-signs, kind=result, on=2026-03-01, person_id=0012,"
                                + " recorded_on=2026-03-02, source=export, status=final, text=sys, unit=mmHg, value=141}",
                        "{code=dia, id=export/Observation/o1#2, keywords=vital-signs, kind=result, on=2026-03-01, person_id=0012,"
                                + " recorded_on=2026-03-02, source=export, status=final, text=dia, unit=mmHg, value=90,"
                                + " value_text=<90}");
    }

    @Test
    void what_was_not_done_never_counts_and_keeps_its_word() throws IOException {
        Made made = made(bundle(ADA, """
                {"resourceType":"Immunization","id":"i1","status":"not-done","patient":{"reference":"Patient/p1"},
                 "vaccineCode":{"text":"Flu"},"occurrenceDateTime":"2026-10"}""", """
                {"resourceType":"Immunization","id":"i2","status":"completed","patient":{"reference":"Patient/p1"},
                 "vaccineCode":{"text":"Flu"},"occurrenceDateTime":"2025"}""", """
                {"resourceType":"Condition","id":"c1","subject":{"reference":"Patient/p1"},"code":{"text":"Asthma"},
                 "clinicalStatus":{"coding":[{"code":"active"}]},"verificationStatus":{"coding":[{"code":"refuted"}]}}""", """
                {"resourceType":"Encounter","id":"e1","status":"cancelled","subject":{"reference":"Patient/p1"},
                 "class":{"code":"AMB","display":"ambulatory"}}""", """
                {"resourceType":"Appointment","id":"a1","status":"noshow","start":"2026-04-01T09:00:00+02:00",
                 "participant":[{"actor":{"reference":"Patient/p1"}},{"actor":{"reference":"Location/l","display":"Room 2"}},
                                {"actor":{"reference":"Practitioner/x","display":"Dr Vask"}}]}"""));

        assertThat(made.eventsInWords())
                .containsExactly(
                        "{id=export/Immunization/i1, keywords=not-done, kind=vaccination, on=2026-10, person_id=0012, source=export,"
                                + " status=entered-in-error, text=Flu}",
                        "{id=export/Immunization/i2, kind=vaccination, on=2025, person_id=0012, source=export, status=done,"
                                + " text=Flu}",
                        "{id=export/Condition/c1, keywords=refuted, kind=problem, person_id=0012, source=export,"
                                + " status=entered-in-error, text=Asthma}",
                        "{code=AMB, id=export/Encounter/e1, keywords=cancelled, kind=visit, person_id=0012, source=export,"
                                + " status=entered-in-error, text=ambulatory}",
                        "{id=export/Appointment/a1, kind=appointment, on=2026-04-01, person_id=0012, provider=Dr Vask, site=Room 2,"
                                + " source=export, status=no show}");
    }

    @Test
    void references_are_followed_however_they_are_written() throws IOException {
        String visit = """
                {"resourceType":"Encounter","id":"%s","status":"finished","subject":%s}""";
        Made made = made(
                """
                {"resourceType":"Bundle","type":"transaction","entry":[
                 {"fullUrl":"urn:uuid:9f3a","resource":{"resourceType":"Patient","identifier":[{"value":"0012"}]}},
                 {"fullUrl":"https://ehr.example.org/fhir/Patient/p2","resource":{"resourceType":"Patient","id":"p2"}},
                 {"resource":%s},{"resource":%s},{"resource":%s},{"resource":%s},{"resource":%s},{"resource":%s}]}""".formatted(
                        visit.formatted("v1", "{\"reference\":\"urn:uuid:9f3a\"}"),
                        visit.formatted("v2", "{\"reference\":\"https://ehr.example.org/fhir/Patient/p2/_history/3\"}"),
                        visit.formatted("v3", "{\"reference\":\"Patient/elsewhere\"}"),
                        visit.formatted("v4", "{\"reference\":\"Patient?identifier=urn:harbour|0013\"}"),
                        visit.formatted("v5", "{\"reference\":\"Group/g\"}"),
                        visit.formatted(
                                "v6",
                                "{\"reference\":\"#in\"},\"contained\":["
                                        + "{\"resourceType\":\"Patient\",\"id\":\"in\",\"identifier\":[{\"value\":\"0014\"}]}]")));

        assertThat(made.events)
                .extracting(event -> event.id() + " of " + event.personId())
                .containsExactly(
                        "export/Encounter/v1 of 0012",
                        "export/Encounter/v2 of p2",
                        "export/Encounter/v3 of elsewhere",
                        "export/Encounter/v4 of 0013",
                        "export/Encounter/v6 of 0014");
        assertThat(made.troubles)
                .extracting(Trouble::said)
                .containsExactly("Encounter that does not say of which Patient it is.");
    }

    @Test
    void a_patient_who_was_merged_into_another_is_no_person_of_her_own() throws IOException {
        Made made = made(bundle("""
                {"resourceType":"Encounter","id":"before","status":"finished","subject":{"reference":"Patient/p0"}}""", ADA, """
                {"resourceType":"Patient","id":"p0","identifier":[{"value":"0007"}],"active":false,
                 "link":[{"type":"replaced-by","other":{"reference":"Patient/p1"}}]}""", """
                {"resourceType":"Encounter","id":"v","status":"finished","subject":{"reference":"Patient/p0"}}"""));

        assertThat(made.people).extracting(person -> person.id()).containsExactly("0012");
        assertThat(made.mergedNumbers).containsExactly("0012 0007");
        assertThat(made.events)
                .extracting(event -> event.personId())
                .as("also of a record that stands before it")
                .containsExactly("0012", "0012");
    }

    @Test
    void an_export_that_is_cut_off_says_how_far_it_goes() throws IOException {
        Path file = Files.writeString(folder.resolve("cut.ndjson"), line(ADA) + "\n{\"resourceType\":\"Obs");

        assertThatThrownBy(() -> propose(file))
                .isInstanceOf(UnreadableRows.class)
                .hasMessage("From here on the file is no JSON, or it is cut off, after 1 whole resource.")
                .extracting(failure -> ((UnreadableRows) failure).line())
                .isEqualTo(2L);
    }

    @Test
    void the_files_of_one_export_are_read_as_one() throws IOException {
        Path patients = Files.writeString(folder.resolve("Patient.ndjson"), line(ADA));
        Path visits = Files.writeString(folder.resolve("Encounter.ndjson"), """
                {"resourceType":"Encounter","id":"v","status":"finished","subject":{"reference":"Patient/p1"}}""");

        Path joined = Together.of(List.of(visits, patients), folder).orElseThrow();

        assertThat(Made.of(joined, propose(joined).intake()).events)
                .extracting(event -> event.personId())
                .containsExactly("0012");
    }
}
