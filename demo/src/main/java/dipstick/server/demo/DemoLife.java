package dipstick.server.demo;

import dipstick.core.records.EventRecord;
import dipstick.server.demo.DemoEvents.Details;
import java.time.LocalDate;
import java.util.function.Consumer;

/** What happens to an invented person at the practice over the years. */
final class DemoLife {
    private static final int YEARS = 12;

    private final DemoPerson person;
    private final Chance chance;
    private final LocalDate today;
    private final LocalDate start;
    private final LocalDate end;
    private final DemoEvents events;

    DemoLife(DemoPerson person, Chance chance, LocalDate today, Consumer<EventRecord> sink) {
        this.person = person;
        this.chance = chance;
        this.today = today;
        LocalDate oldest = today.minusYears(YEARS);
        this.start = person.registered().isAfter(oldest) ? person.registered() : oldest;
        this.end = person.seenUntil();
        this.events = new DemoEvents(person, chance, today.minusYears(4).minusMonths(2), sink);
    }

    void live() {
        int age = person.ageOn(today);
        boolean staysAway = chance.percent(7);
        LocalDate seenLast = staysAway ? today.minusDays(chance.between(900, 3000)) : end;
        visits(age, seenLast.isBefore(end) ? seenLast : end);
        vaccinations(age);
        hearing();
        lithium(age);
        waterTablets(age);
        fracture(age);
        asthma();
        feet(age);
        ahead();
    }

    private void visits(int age, LocalDate until) {
        double perYear = 0.9 + age / 48.0;
        boolean oftenUnplanned = chance.percent(1.5);
        for (LocalDate year = start; year.isBefore(until); year = year.plusYears(1)) {
            int visits = chance.happenings(perYear);
            for (int i = 0; i < visits; i++) {
                LocalDate day = year.plusDays(chance.between(0, 364));
                if (!day.isAfter(until)) {
                    visit(age, day);
                }
            }
            int unplanned = chance.happenings(oftenUnplanned ? 5 : 0.12);
            for (int i = 0; i < unplanned; i++) {
                LocalDate day = year.plusDays(chance.between(0, 364));
                if (!day.isAfter(until)) {
                    events.add(DemoTerm.UNPLANNED, day, Details.status("done"));
                }
            }
        }
    }

    private void visit(int age, LocalDate day) {
        String status = chance.percent(5) ? "cancelled" : chance.percent(3) ? "no show" : "done";
        events.add(DemoTerm.VISIT, day, Details.status(status));
        if (!status.equals("done")) {
            return;
        }
        if (age >= 18 && chance.percent(34)) {
            pressure(day);
        }
        if (chance.percent(9)) {
            events.add(DemoTerm.LETTER, day.plusDays(chance.between(1, 20)), Details.status("final"));
        }
        if (chance.percent(12)) {
            events.add(DemoTerm.CONTACT, day.plusDays(chance.between(1, 9)));
        }
        if (age >= 40 && chance.percent(8)) {
            events.add(DemoTerm.KIDNEY, day.plusDays(2), Details.value(chance.between(28, 118), "mL/min"));
        }
    }

    private void pressure(LocalDate day) {
        int value = chance.percent(14) ? chance.between(150, 188) : chance.between(104, 149);
        events.add(DemoTerm.PRESSURE, day, Details.value(value, "mmHg"));
        if (value >= 150 && chance.percent(70)) {
            LocalDate again = day.plusDays(chance.between(7, 80));
            if (!again.isAfter(end)) {
                events.add(DemoTerm.PRESSURE, again, Details.value(chance.between(118, 160), "mmHg"));
            }
        }
    }

    private void vaccinations(int age) {
        for (int year = start.getYear(); year <= today.getYear(); year++) {
            LocalDate day = LocalDate.of(year, 10, 1).plusDays(chance.between(0, 75));
            if (chance.percent(age >= 65 ? 72 : 9) && !day.isAfter(end)) {
                events.add(DemoTerm.FLU, day, Details.status("done"));
            }
        }
        if (age >= 65) {
            once(DemoTerm.PNEUMONIA, 66);
        }
        if (age >= 68) {
            once(DemoTerm.SHINGLES, 58);
        }
    }

    private void once(DemoTerm vaccination, double percent) {
        if (chance.percent(percent)) {
            LocalDate day = end.minusDays(chance.between(20, 2800));
            events.add(vaccination, day, Details.status(chance.percent(4) ? "refused" : "done"));
        }
    }

    private void hearing() {
        if (!person.wearsAid()) {
            return;
        }
        double skipped = chance.percent(45) ? 8 : 55;
        for (LocalDate day : events.everySoOften(start, end, 355, skipped)) {
            if (chance.percent(8)) {
                events.add(DemoTerm.AUDIOGRAM_LETTER, day, Details.keyword("audiogram"));
            } else {
                String status = chance.percent(4) ? "cancelled" : "done";
                events.add(DemoTerm.HEARING_CHECK, day, Details.status(status));
            }
        }
    }

    private void lithium(int age) {
        if (age < 20 || !chance.percent(1.1)) {
            return;
        }
        LocalDate began = start.plusDays(chance.between(0, 2500));
        if (!began.isBefore(end)) {
            return;
        }
        boolean stopped = chance.percent(18);
        LocalDate until = stopped ? began.plusDays(chance.between(200, 1500)) : end;
        events.add(
                DemoTerm.LITHIUM,
                began,
                stopped && until.isBefore(today) ? Details.until(until) : Details.status("active"));
        LocalDate last = until.isBefore(end) ? until : end;
        double skipped = chance.percent(60) ? 5 : 45;
        for (LocalDate day : events.everySoOften(began, last, 88, skipped)) {
            boolean otherUnit = chance.percent(3);
            double level = chance.between(3, 11) / 10.0;
            events.add(
                    DemoTerm.LITHIUM_LEVEL,
                    day,
                    otherUnit
                            ? Details.value(Math.round(level * 6.9 * 10) / 10.0, "mg/L")
                            : Details.value(level, "mmol/L"));
            if (chance.percent(45)) {
                events.add(DemoTerm.KIDNEY, day, Details.value(chance.between(42, 110), "mL/min"));
            }
        }
    }

    private void waterTablets(int age) {
        if (!chance.percent(age >= 70 ? 18 : age >= 50 ? 6 : 0)) {
            return;
        }
        LocalDate began = start.plusDays(chance.between(0, 3000));
        if (!began.isBefore(end)) {
            return;
        }
        boolean stopped = chance.percent(15);
        LocalDate until = began.plusDays(chance.between(150, 1800));
        events.add(
                DemoTerm.WATER_TABLET,
                began,
                stopped && until.isBefore(today) ? Details.until(until) : Details.status("active"));
        for (LocalDate day : events.everySoOften(began, end, 350, 22)) {
            events.add(DemoTerm.KIDNEY, day, Details.value(chance.between(28, 112), "mL/min"));
        }
    }

    private void fracture(int age) {
        if (age < 52 || !chance.percent(5)) {
            return;
        }
        LocalDate broken = start.plusDays(chance.between(0, 4200));
        if (broken.isAfter(end)) {
            return;
        }
        events.add(DemoTerm.FRACTURE, broken, Details.status("resolved"));
        if (chance.percent(48)) {
            LocalDate scan = broken.plusDays(chance.between(20, 420));
            if (!scan.isAfter(end)) {
                events.add(DemoTerm.BONE_SCAN, scan, Details.value(-chance.between(2, 34) / 10.0, "T-score"));
            }
        }
    }

    private void asthma() {
        if (!chance.percent(7)) {
            return;
        }
        boolean over = chance.percent(15);
        events.add(
                DemoTerm.ASTHMA, start.plusDays(chance.between(0, 200)), Details.status(over ? "resolved" : "active"));
        for (LocalDate day : events.everySoOften(start, end, 360, over ? 80 : 30)) {
            events.add(DemoTerm.ASTHMA_REVIEW, day, Details.status(chance.percent(5) ? "cancelled" : "done"));
        }
    }

    private void feet(int age) {
        if (age < 55 || !chance.percent(5)) {
            return;
        }
        events.add(DemoTerm.NUMB_FEET, start.plusDays(chance.between(0, 900)), Details.status("active"));
        for (LocalDate day : events.everySoOften(start, end, 365, 25)) {
            events.add(DemoTerm.FOOT_CHECK, day, Details.status("done"));
        }
    }

    /** What is booked: for many just a visit, for some the check that they lack. */
    private void ahead() {
        if (end.isBefore(today) || !chance.percent(11)) {
            return;
        }
        int days = chance.between(0, 120);
        // More come this week than in any other, so that there is a morning to look at.
        LocalDate day = today.plusDays(days < 40 ? days / 6 : days);
        events.add(DemoTerm.APPOINTMENT, day, Details.status(chance.percent(7) ? "cancelled" : "booked"));
        if (person.wearsAid() && chance.percent(30)) {
            events.add(DemoTerm.APPOINTMENT, today.plusDays(chance.between(3, 90)), Details.keyword("hearing check"));
        }
    }
}
