package dipstick.server.demo;

import dipstick.core.records.EventRecord;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;

/** Writes the records of one person, as untidily as real ones are kept. */
final class DemoEvents {
    private final DemoPerson person;
    private final Chance chance;
    private final LocalDate merge;
    private final Consumer<EventRecord> sink;
    private int number;

    /** @param merge the day on which the two sites' systems became one */
    DemoEvents(DemoPerson person, Chance chance, LocalDate merge, Consumer<EventRecord> sink) {
        this.person = person;
        this.chance = chance;
        this.merge = merge;
        this.sink = sink;
    }

    /** What is said of an event besides its name and day. */
    record Details(Optional<LocalDate> until, String status, OptionalDouble value, String unit, List<String> keywords) {
        static final Details PLAIN = new Details(Optional.empty(), "", OptionalDouble.empty(), "", List.of());

        static Details status(String status) {
            return new Details(Optional.empty(), status, OptionalDouble.empty(), "", List.of());
        }

        static Details value(double value, String unit) {
            return new Details(Optional.empty(), "final", OptionalDouble.of(value), unit, List.of());
        }

        static Details until(LocalDate until) {
            return new Details(Optional.of(until), "stopped", OptionalDouble.empty(), "", List.of());
        }

        static Details keyword(String keyword) {
            return new Details(Optional.empty(), "final", OptionalDouble.empty(), "", List.of(keyword));
        }
    }

    void add(DemoTerm term, LocalDate on) {
        add(term, on, Details.PLAIN);
    }

    void add(DemoTerm term, LocalDate on, Details details) {
        boolean booked = term == DemoTerm.APPOINTMENT && on.isAfter(person.seenUntil());
        if (!person.isSeenOn(on) && !booked) {
            return;
        }
        EventRecord event = event(term, on, details, recordedDay(on));
        sink.accept(event);
        if (chance.percent(0.4)) {
            sink.accept(event(term, on, details, event.on()));
        }
    }

    private EventRecord event(DemoTerm term, LocalDate on, Details details, Optional<DateRange> recorded) {
        boolean old = on.isBefore(merge);
        boolean harbour = person.site().startsWith("Harbour");
        DemoTerm.Name name = !old ? term.sinceTheMerge() : harbour ? term.atHarbourRow() : term.atMillLane();
        String status = chance.percent(0.4) ? "entered-in-error" : details.status();
        String text = chance.percent(2) ? "" : chance.percent(3) ? name.text().toUpperCase(Locale.ROOT) : name.text();
        return EventRecord.of(person.id(), term.kind())
                .text("id", person.id() + "-" + ++number)
                .text("code", text.isEmpty() || !chance.percent(6) ? name.code() : "")
                .text("system", old ? (harbour ? "harbour" : "mill") : "local")
                .text("text", text)
                .date("on", recorded)
                .date("until", details.until().map(DateRange::day))
                .text("status", status)
                .number("value", details.value())
                .text("unit", details.unit())
                .texts("keywords", details.keywords())
                .text("provider", chance.percent(90) ? person.provider() : "")
                .text("site", person.site())
                .text("source", old ? "before the merge" : "typed in")
                .build();
    }

    /** Mostly the day; now and then only the month, the year or nothing is known. */
    private Optional<DateRange> recordedDay(LocalDate on) {
        if (on.isBefore(merge) && chance.percent(2)) {
            return chance.percent(30)
                    ? Optional.empty()
                    : Optional.of(DateRange.between(on.withDayOfYear(1), on.withDayOfYear(on.lengthOfYear())));
        }
        if (chance.percent(0.7)) {
            return Optional.of(DateRange.between(on.withDayOfMonth(1), on.withDayOfMonth(on.lengthOfMonth())));
        }
        return Optional.of(DateRange.day(on));
    }

    /** Days about a period apart, from the start to the end, with a gap now and then. */
    List<LocalDate> everySoOften(LocalDate start, LocalDate end, int days, double skippedPercent) {
        List<LocalDate> rhythm = new ArrayList<>();
        LocalDate next = start.plusDays(chance.between(0, days));
        while (!next.isAfter(end)) {
            if (!chance.percent(skippedPercent)) {
                rhythm.add(next);
            }
            next = next.plusDays(days + chance.between(-days / 6, days / 4));
        }
        return rhythm;
    }
}
