package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** HL7 version 2 messages as other systems write them. */
class MessageFilesTest {
    private static final String ADA = "PID|1||0012^^^HARBOUR^MR~N-77^^^NAT^NI||Marl^Ada^Jo^^^^L||19610517|F|||"
            + "1 Weir Lane^Flat 2^Otterbrook^^OT1 2AB^^H||01632 960002^PRN^PH~^NET^Internet^ada@example.org"
            + "~01632 960001^PRN^CP||cy^Welsh\r";

    @TempDir
    private Path folder;

    private static String header(String type) {
        return "MSH|^~\\&|LAB|HARBOUR|||20260302080000||" + type + "|1|P|2.5.1\r";
    }

    private Made made(String messages) throws IOException {
        Path file = Files.writeString(folder.resolve("feed.hl7"), messages);
        Proposal proposal = Proposing.of("feed.hl7", file, Proposing.Asked.in(2026));
        assertThat(proposal.format()).isEqualTo("HL7 version 2 messages");
        return Made.of(file, proposal.intake());
    }

    @Test
    void a_person_with_all_that_a_message_says_and_the_last_of_them_counts() throws IOException {
        Made made = made(header("ADT^A28") + "EVN|A28|20260302\r" + ADA + "PD1|||Weir Site^^1|d1^Vask^Bo^^^Dr\r"
                + header("ADT^A31") + ADA.replace("Marl", "Quill").replace("||cy^Welsh", ""));

        assertThat(made.peopleInWords())
                .containsExactly(
                        "{address=1 Weir Lane, Flat 2, birth_date=1961-05-17, city=Otterbrook, email=ada@example.org,"
                                + " family_name=Quill, given_name=Ada Jo, id=0012, language=Welsh, mobile=01632 960001,"
                                + " phone=01632 960002, postcode=OT1 2AB, provider=Dr Bo Vask, sex=female, site=Weir Site}");
        assertThat(made.otherNumbers).containsExactly("0012 N-77", "0012 N-77");
    }

    @Test
    void results_with_bounds_words_repeats_long_text_and_corrections() throws IOException {
        String order = "OBR|1||L-9|GLU^Sugar^L|||202603010830|||||||||77^Vask^Bo\r";
        Made made = made(header("ORU^R01") + ADA + order
                + "OBX|1|NM|GLU^Sugar^L^15074-8^Glucose^LN||7.1|mmol/L|||||F\r"
                + "OBX|2|SN|CRP^CRP^L||<^5|mg/L|||||F\r"
                + "OBX|3|CE|CUL^Culture^L||NEG^negative^L||||||P\r"
                + "OBX|4|TX|REM^Remark^L||first line||||||F\r"
                + "OBX|5|TX|REM^Remark^L||and more\\T\\more||||||F\r"
                + "OBX|6|NM|GLU^Sugar^L||7.4|mmol/L|||||F\r"
                + header("ORU^R01") + ADA + order
                + "OBX|1|NM|GLU^Sugar^L||6.1|mmol/L|||||C\r"
                + "OBX|2|SN|CRP^CRP^L||<^5|mg/L|||||D\r");

        assertThat(made.events)
                .extracting(event -> event.id() + " " + event.text("status") + " " + event.text("value_text"))
                .containsExactly(
                        "feed/L-9/GLU/ final ",
                        "feed/L-9/CRP/ entered-in-error <5",
                        "feed/L-9/CUL/ preliminary negative",
                        "feed/L-9/REM/ final first line\nand more&more",
                        "feed/L-9/GLU//2 final ");
        assertThat(made.eventsInWords().getFirst())
                .isEqualTo(
                        "{code=GLU, id=feed/L-9/GLU/, kind=result, on=2026-03-01, person_id=0012, provider=Bo Vask,"
                                + " recorded_on=2026-03-02, source=feed, status=final, system=L, text=Sugar, unit=mmol/L, value=6.1}");
    }

    @Test
    void appointments_vaccinations_documents_and_visits() throws IOException {
        Made made = made(header("SIU^S12")
                + "SCH|P1|F1|||||check^Check|routine^Routine^L|30|min|^^^202604010900^202604010930\r"
                + ADA + "AIL|1||^^^Weir Site\rAIP|1||d1^Vask^Bo\r"
                + header("SIU^S26") + "SCH|P1|F1|||||check^Check|routine^Routine^L|30|min|^^^202604010900\r" + ADA
                + header("VXU^V04") + ADA
                + "ORC|RE||V7\rRXA|0|1|20251003||08^Hep B^CVX^90744^Hep B^CPT|1||||||||||||||CP\r"
                + "ORC|RE||9999\rRXA|0|1|20251004||140^Flu^CVX|999||||||||||||||RE\r"
                + header("MDM^T02") + "EVN|T02|20260105\r" + ADA + "TXA|1|CN|TX|20260104|d1^Vask^Bo|||||||D-5|||||AU\r"
                + header("ADT^A04") + "EVN|A04|20260106\r" + ADA + "PV1|1|O|^^^Weir Site||||d1^Vask^Bo||||||||||||V-1"
                + "|".repeat(25) + "202601061015\r");

        assertThat(made.eventsInWords())
                .contains(
                        "{code=routine, id=feed/appointment/F1, kind=appointment, on=2026-04-01, person_id=0012,"
                                + " recorded_on=2026-03-02, source=feed, status=no show, system=L, text=Routine}",
                        "{also_coded=90744|CPT, code=08, id=feed/vaccination/V7, kind=vaccination, on=2025-10-03, person_id=0012,"
                                + " recorded_on=2026-03-02, source=feed, status=done, system=CVX, text=Hep B}",
                        "{code=140, keywords=refused, kind=vaccination, on=2025-10-04, person_id=0012, recorded_on=2026-03-02,"
                                + " source=feed, status=entered-in-error, system=CVX, text=Flu}",
                        "{code=CN, id=feed/document/D-5, keywords=CN, kind=document, on=2026-01-04, person_id=0012, provider=Bo Vask,"
                                + " recorded_on=2026-03-02, source=feed, status=final, text=CN}",
                        "{id=feed/visit/V-1, keywords=O, kind=visit, on=2026-01-06, person_id=0012, provider=Bo Vask,"
                                + " recorded_on=2026-03-02, site=Weir Site, source=feed, text=visit}");
    }

    @Test
    void people_who_turned_out_to_be_one() throws IOException {
        String before = "PID|1||0007^^^HARBOUR^MR||Marl^A\r";
        Made made = made(header("ORU^R01") + before + "OBR|1||L-1|GLU^Sugar\rOBX|1|NM|GLU^Sugar||7|mmol/L|||||F\r"
                + header("ADT^A40") + "EVN|A40|20260302\r" + ADA + "MRG|0007^^^HARBOUR^MR\r"
                + header("ADT^A08") + before);

        assertThat(made.mergedNumbers).containsExactly("0012 0007");
        assertThat(made.people).extracting(person -> person.id()).containsExactly("0012");
        assertThat(made.events).extracting(event -> event.personId()).containsExactly("0012");
    }

    @Test
    void messages_in_a_batch_with_blocks_other_separators_and_other_ends_of_lines() throws IOException {
        Made made = made("""
                FHS|^~\\&|LAB
                BHS|^~\\&|LAB
                %cMSH#*~\\&#LAB####20260302##ADT*A08#1#P#2.3
                PID#1##0013***H*MR##Vask*Bo##19580403#M
                %c
                BTS|1
                FTS|1
                """.formatted(0x0B, 0x1C));

        assertThat(made.peopleInWords())
                .containsExactly("{birth_date=1958-04-03, family_name=Vask, given_name=Bo, id=0013, sex=male}");
    }

    @Test
    void what_is_not_read_is_told_and_the_rest_is_kept() throws IOException {
        Made made = made(header("ADT^A60") + ADA + "MSH|||||||\rPID|1||0013\r" + header("ADT^A08") + "PID|1|||||x\r"
                + header("ORU^R01") + "OBX|1|NM|GLU||1\r" + header("ADT^A08") + ADA);

        assertThat(made.people).extracting(person -> person.id()).containsExactly("0012");
        assertThat(made.troubles)
                .extracting(Trouble::said)
                .containsExactly(
                        "Message ADT^A60, of which nothing is read.",
                        "Message that cannot be read: Its header does not say by what its parts are separated.",
                        "Message of a person without a number.",
                        "Message that does not say of which person it is.");
    }

    @Test
    void times_are_as_precise_as_they_say_and_those_with_an_offset_are_of_the_day_here() throws IOException {
        Made made = made("MSH|^~\\&|L|H|||20260301233000-0500||ORU^R01|1|P|2.3\r" + "PID|1||0013||Vask^Bo||195804|M\r"
                + "OBR|1||L-1|GLU^Sugar|||202603\rOBX|1|NM|GLU^Sugar||7|mmol/L|||||F\r"
                + "OBR|2||L-2|GLU^Sugar|||20260230\rOBX|1|NM|GLU^Sugar||7|mmol/L|||||F\r");

        assertThat(made.peopleInWords())
                .containsExactly("{birth_date=1958-04, family_name=Vask, given_name=Bo, id=0013, sex=male}");
        assertThat(made.eventsInWords())
                .containsExactly(
                        "{code=GLU, id=feed/L-1/GLU/, kind=result, on=2026-03, person_id=0013, recorded_on=2026-03-02, source=feed,"
                                + " status=final, text=Sugar, unit=mmol/L, value=7}");
        assertThat(made.troublesInWords()).containsExactly("6 on NO_DATE");
    }
}
