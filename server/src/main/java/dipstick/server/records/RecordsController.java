package dipstick.server.records;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.time.DateRange;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is on record, how fresh it is, and the words that occur in it. */
@RestController
@RequestMapping("/api/records")
class RecordsController {
    private final Views views;
    private final DeliveryLog deliveries;

    RecordsController(Views views, DeliveryLog deliveries) {
        this.views = views;
        this.deliveries = deliveries;
    }

    record KindCount(String kind, int records, Optional<String> first, Optional<String> last) {}

    /**
     * A delivery.
     *
     * @param intake the name of the intake that read it; empty for a plain file
     * @param takenBack when and by whom it was taken back, where it was
     */
    record Taken(
            long id,
            String takenAt,
            String takenBy,

            String fileName,
            String intake,
            int newRows,
            int changedRows,
            int unchangedRows,
            int goneRows,
            int badLines,
            Optional<TakenBack> takenBack) {}

    record TakenBack(String at, String by) {}

    /**
     * @param waiting records that count once their people are brought in
     * @param builtAt when the records were last made ready, as an instant
     */
    record Overview(int people, int records, int waiting, String builtAt, List<KindCount> kinds, List<Taken> imports) {}

    @GetMapping
    Overview overview() {
        View view = views.current();
        Events events = view.population().events();
        return new Overview(
                view.population().size(),
                events.size(),
                view.eventsOfUnknownPeople(),
                view.builtAt().toString(),
                kinds(events),
                deliveries.latest().stream().map(RecordsController::taken).toList());
    }

    /**
     * How true what is shown is.
     *
     * @param builtAt when the records were last made ready, as an instant
     * @param behindSince since when there are records that are kept and not shown, as an instant
     */
    record RecordsStanding(String builtAt, Optional<String> behindSince) {}

    @GetMapping("/standing")
    RecordsStanding standing() {
        return new RecordsStanding(
                views.current().builtAt().toString(), views.behindSince().map(Instant::toString));
    }

    @GetMapping("/vocabulary")
    Vocabulary vocabulary() {
        return Vocabulary.of(views.current().population());
    }

    private static Taken taken(ImportLogMapper.Entry entry) {
        return new Taken(
                entry.id(),
                entry.takenAt().toString(),
                entry.takenBy(),
                entry.fileName(),
                Optional.ofNullable(entry.intake()).orElse(""),
                entry.newRows(),
                entry.changedRows(),
                entry.unchangedRows(),
                entry.goneRows(),
                entry.badLines(),
                Optional.ofNullable(entry.takenBackAt())
                        .map(at -> new TakenBack(
                                at.toString(),
                                Optional.ofNullable(entry.takenBackBy()).orElse(""))));
    }

    private static List<KindCount> kinds(Events events) {
        Column.OfText kinds = events.kind();
        int[] counts = new int[kinds.codeCount()];
        int[] first =
                IntStream.generate(() -> Integer.MAX_VALUE).limit(counts.length).toArray();
        int[] last =
                IntStream.generate(() -> Integer.MIN_VALUE).limit(counts.length).toArray();
        Column.OfDate on = events.on();
        for (int event = 0; event < events.size(); event++) {
            int kind = kinds.codes().get(event);
            counts[kind]++;
            int day = on.codes().get(event);
            if (day != Codes.MISSING) {
                DateRange days = on.days().get(day);
                first[kind] = Math.min(first[kind], days.first());
                last[kind] = Math.max(last[kind], days.last());
            }
        }
        return IntStream.range(1, counts.length)
                .filter(kind -> counts[kind] > 0)
                .mapToObj(kind ->
                        new KindCount(kinds.written().get(kind), counts[kind], day(first[kind]), day(last[kind])))
                .sorted(Comparator.comparingInt(KindCount::records).reversed())
                .toList();
    }

    private static Optional<String> day(int day) {
        boolean none = day == Integer.MAX_VALUE || day == Integer.MIN_VALUE;
        return none ? Optional.empty() : Optional.of(LocalDate.ofEpochDay(day).toString());
    }
}
