package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.records.FieldValue;
import dipstick.intake.make.PeopleKnown;
import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** vCards and calendars as other systems write them. */
class ContactFilesTest {
    @TempDir
    private Path folder;

    private static Proposal propose(Path file) throws IOException {
        return Proposing.of(String.valueOf(file.getFileName()), file, Proposing.Asked.in(2026));
    }

    @Test
    void cards_of_several_versions() throws IOException {
        Path file = Files.writeString(folder.resolve("people.vcf"), """
                BEGIN:VCARD
                VERSION:4.0
                UID:urn:uuid:0012
                N:Marl;Ada;Jo;;
                FN:Ada Marl
                BDAY:19610517
                GENDER:F
                TEL;TYPE=cell;VALUE=uri:tel:+44-1632-960001
                EMAIL;TYPE=home:ada@example.org
                ADR;TYPE=home:;;1 Weir Lane;Otterbrook;;OT1 2AB;
                END:VCARD
                BEGIN:VCARD
                VERSION:3.0
                UID:0013
                FN:Bo Vask
                BDAY:1958-04
                TEL;TYPE=HOME:01632 960002
                END:VCARD
                """.replace("\n", "\r\n"));

        Made made = Made.of(file, propose(file).intake());

        assertThat(made.peopleInWords())
                .containsExactly(
                        "{address=1 Weir Lane, birth_date=1961-05-17, city=Otterbrook, email=ada@example.org, family_name=Marl,"
                                + " given_name=Ada Jo, id=0012, mobile=+44-1632-960001, postcode=OT1 2AB, sex=female}",
                        "{birth_date=1958-04, family_name=Bo Vask, id=0013, phone=01632 960002}");
        assertThat(made.events).isEmpty();
    }

    @Test
    void appointments_of_those_whose_mail_address_is_on_file() throws IOException {
        Path file = Files.writeString(folder.resolve("diary.ics"), """
                BEGIN:VCALENDAR
                VERSION:2.0
                PRODID:-//Otterbrook//Diary//EN
                BEGIN:VEVENT
                UID:a-1
                DTSTAMP:20260301T080000Z
                DTSTART:20260401T233000Z
                RRULE:FREQ=WEEKLY;COUNT=3
                DTEND:20260401T234500Z
                SUMMARY:Foot check
                LOCATION:Weir Site
                ORGANIZER;CN=Dr Vask:mailto:vask@example.org
                ATTENDEE;CN=Ada Marl:mailto:Ada@example.org
                END:VEVENT
                BEGIN:VEVENT
                UID:a-2
                DTSTAMP:20260301T080000Z
                DTSTART;VALUE=DATE:20260402
                STATUS:CANCELLED
                SUMMARY:Team
                ATTENDEE:mailto:nobody@example.org
                END:VEVENT
                BEGIN:VTODO
                UID:t
                DTSTAMP:20260301T080000Z
                END:VTODO
                END:VCALENDAR
                """.replace("\n", "\r\n"));
        PeopleKnown known = fields -> fields.get("email") instanceof FieldValue.OfText(String mail)
                        && mail.equalsIgnoreCase("ada@example.org")
                ? List.of("0012")
                : List.of();

        Made made = Made.of(file, propose(file).intake(), known);

        assertThat(made.eventsInWords())
                .containsExactly(
                        "{id=diary/a-1/ada@example.org, kind=appointment, on=2026-04-01, person_id=0012, provider=Dr Vask,"
                                + " site=Weir Site, source=diary, status=booked, text=Foot check, until=2026-04-01}");
        assertThat(made.people).as("a calendar makes nobody").isEmpty();
        assertThat(made.troubles)
                .extracting(Trouble::said)
                .containsExactly(
                        "Event that repeats, of which only the first day is read.",
                        "Nobody on file fits: nobody@example.org.",
                        "VTODO, of which no record is made.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "GEO:nowhere",
                "URL:http://[",
                "SEQUENCE:first",
                "IMAGE;VALUE=BINARY:x",
                "SOMETHING:new",
                "RRULE:FREQ=SELDOM",
                "ORGANIZER:mailto:a b",
            })
    void what_is_wrong_with_one_appointment_keeps_no_other_out(String wrong) throws IOException {
        assertThat(appointments(wrong, "DTSTART:20260401T101500Z").eventsInWords())
                .containsExactly(
                        "{kind=appointment, on=2026-04-01, person_id=0012, source=diary, status=booked}",
                        "{kind=appointment, on=2026-04-03, person_id=0012, source=diary, status=booked}");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "DTSTART;VALUE=DATE:20261301 | 20261301",
                "DTSTART:soon | soon",
                "DTSTART;TZID=Europe/London:2026x | 2026x",
            })
    void an_appointment_on_a_day_that_is_none_is_told(String wrong, String told) throws IOException {
        Made made = appointments("SUMMARY:", wrong);
        assertThat(made.eventsInWords())
                .containsExactly("{kind=appointment, on=2026-04-03, person_id=0012, source=diary, status=booked}");
        assertThat(made.troubles)
                .extracting(Trouble::said)
                .contains("“" + told + "” is not a date of a day that exists.");
    }

    private Made appointments(String ofTheFirst, String on) throws IOException {
        Path file = Files.writeString(
                folder.resolve("diary.ics"), """
                BEGIN:VCALENDAR
                VERSION:2.0
                BEGIN:VEVENT
                %s
                %s
                ATTENDEE:mailto:ada@example.org
                END:VEVENT
                BEGIN:VEVENT
                DTSTART;VALUE=DATE:20260403
                ATTENDEE:mailto:ada@example.org
                END:VEVENT
                END:VCALENDAR
                """.formatted(ofTheFirst, on).replace("\n", "\r\n"));
        return Made.of(file, propose(file).intake(), _ -> List.of("0012"));
    }
}
