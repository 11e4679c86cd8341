package dipstick.server.demo;

import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.time.Period;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** An invented person: what is really so, and the record of it, which is not always whole. */
record DemoPerson(
        String id,
        LocalDate birth,
        LocalDate registered,
        LocalDate seenUntil,
        String site,
        String provider,
        boolean wearsAid,
        PersonRecord record) {
    static final List<String> SITES = List.of("Mill Lane", "Mill Lane", "Mill Lane", "Harbour Row", "Harbour Row");

    private static final List<String> PROVIDERS = List.of(
            "Dr Oakhollow",
            "Dr Pennifer",
            "Dr Sandlake",
            "Dr Tolliver-Reed",
            "Dr Umberfield",
            "Nurse Addlethorpe",
            "Nurse Brackwater",
            "Nurse Cindermoor");

    private static final List<String> STREETS =
            List.of("Alder Walk", "Bellmaker Street", "Copper Row", "Dyer's Yard", "Eel Lane", "Fuller's Hill");

    private static final List<String> LANGUAGES = List.of("en", "en", "en", "en", "en", "en", "pl", "pt", "cy", "ur");

    static DemoPerson of(int number, Chance chance, LocalDate today) {
        int age = age(chance);
        LocalDate birth = today.minusYears(age).minusDays(chance.between(0, 364));
        LocalDate registered = later(birth, today.minusYears(12).plusDays(chance.between(-3000, 4000)));
        boolean moved = chance.percent(4);
        boolean died = !moved && chance.percent(age > 75 ? 9 : 0.6);
        LocalDate left = registered.plusDays(chance.between(30, 4000));
        LocalDate until = (moved || died) && left.isBefore(today) ? left : today;
        String site = chance.of(SITES);
        String provider = chance.of(PROVIDERS);
        boolean wearsAid = chance.percent(age >= 75 ? 22 : age >= 60 ? 8 : 0.8);
        Map<String, FieldValue> values = new HashMap<>();
        String id = "%05d".formatted(10_000 + number);
        text(values, "id", id);
        text(values, "family_name", DemoNames.family(chance));
        text(values, "given_name", DemoNames.given(chance));
        recordedBirth(birth, chance).ifPresent(days -> values.put("birth_date", new FieldValue.OfDate(days)));
        if (!chance.percent(0.4)) {
            text(values, "sex", chance.percent(51) ? "female" : "male");
        }
        status(values, moved && until.isBefore(today), died && until.isBefore(today), until, chance);
        if (!chance.percent(1.5)) {
            text(values, "provider", chance.percent(4) ? provider.toUpperCase(Locale.ROOT) : provider);
        }
        if (!chance.percent(1)) {
            text(values, "site", chance.percent(3) ? site.toLowerCase(Locale.ROOT) : site);
        }
        contacts(values, number, chance);
        values.put("registered_on", new FieldValue.OfDate(DateRange.day(registered)));
        if (chance.percent(97)) {
            values.put("wears_aid", new FieldValue.OfFlag(wearsAid));
        }
        if (age >= 65 && chance.percent(80)) {
            values.put("frailty", new FieldValue.OfNumber(chance.between(1, age >= 85 ? 8 : 6)));
        }
        return new DemoPerson(id, birth, registered, until, site, provider, wearsAid, new PersonRecord(id, values));
    }

    int ageOn(LocalDate day) {
        return Period.between(birth, day).getYears();
    }

    boolean isSeenOn(LocalDate day) {
        return !day.isBefore(registered) && !day.isAfter(seenUntil);
    }

    /** The same person recorded again under another id, as a merge of two systems leaves behind. */
    DemoPerson recordedAgain(String otherId) {
        Map<String, FieldValue> values = new HashMap<>(record.values());
        text(values, "id", otherId);
        values.remove("email");
        return new DemoPerson(
                otherId, birth, registered, seenUntil, site, provider, wearsAid, new PersonRecord(otherId, values));
    }

    private static int age(Chance chance) {
        return chance.percent(22) ? chance.between(65, 97) : chance.between(0, 64);
    }

    private static Optional<DateRange> recordedBirth(LocalDate birth, Chance chance) {
        if (chance.percent(0.7)) {
            return Optional.empty();
        }
        if (chance.percent(1.2)) {
            return Optional.of(DateRange.between(birth.withDayOfYear(1), birth.withDayOfYear(birth.lengthOfYear())));
        }
        if (chance.percent(0.8)) {
            return Optional.of(DateRange.between(birth.withDayOfMonth(1), birth.withDayOfMonth(birth.lengthOfMonth())));
        }
        return Optional.of(DateRange.day(birth));
    }

    private static void status(
            Map<String, FieldValue> values, boolean moved, boolean died, LocalDate until, Chance chance) {
        if (died) {
            if (chance.percent(85)) {
                text(values, "status", "deceased");
            }
            if (chance.percent(90) || !values.containsKey("status")) {
                values.put("deceased_on", new FieldValue.OfDate(DateRange.day(until)));
            }
        } else if (moved) {
            text(values, "status", chance.percent(80) ? "moved away" : "Moved away ");
        } else if (!chance.percent(1.5)) {
            text(values, "status", "active");
        }
    }

    private static void contacts(Map<String, FieldValue> values, int number, Chance chance) {
        if (chance.percent(88)) {
            text(values, "phone", "01632 960%03d".formatted(chance.between(0, 999)));
        }
        if (chance.percent(70)) {
            text(values, "mobile", "01632 960%03d".formatted(chance.between(0, 999)));
        }
        if (chance.percent(55)) {
            text(values, "email", "person" + number + "@example.org");
        }
        text(values, "address", chance.between(1, 140) + " " + chance.of(STREETS));
        text(values, "city", "Otterbrook");
        text(values, "postcode", "OB%d %dQX".formatted(chance.between(1, 9), chance.between(1, 9)));
        text(values, "language", chance.of(LANGUAGES));
        if (chance.percent(60)) {
            text(values, "contact_by", chance.of(List.of("phone", "letter", "text", "e-mail")));
        }
        if (chance.percent(50)) {
            values.put("do_not_contact", new FieldValue.OfFlag(chance.percent(3)));
        }
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    private static void text(Map<String, FieldValue> values, String field, String text) {
        values.put(field, new FieldValue.OfText(text.strip()));
    }
}
