package dipstick.core.state;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.state.Feed.Span;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Gathers the records by source and kind. */
final class Feeds {
    /** Days are counted from here, so that a set of them begins near its first. */
    private static final int BEGIN = Math.toIntExact(LocalDate.of(1850, 1, 1).toEpochDay());

    private final Events events;
    private final int today;

    private Feeds(Events events, LocalDate today) {
        this.events = events;
        this.today = Math.toIntExact(today.toEpochDay());
    }

    private static final class Gathered {
        private int records;
        private int undated;
        private final BitSet days = new BitSet();
    }

    /** The source with most records first. */
    static List<Feed> of(Events events, LocalDate today) {
        return new Feeds(events, today).gather();
    }

    private List<Feed> gather() {
        Column.OfText source =
                (Column.OfText) events.column(events.fields().find("source").orElseThrow());
        Map<Long, Gathered> feeds = new TreeMap<>();
        for (int event = 0; event < events.size(); event++) {
            long key = ((long) source.codes().get(event) << Integer.SIZE)
                    | events.kind().codes().get(event);
            add(feeds.computeIfAbsent(key, _ -> new Gathered()), event);
        }
        List<Feed> all = new ArrayList<>();
        feeds.forEach((key, gathered) -> all.add(new Feed(
                source.written().get((int) (key >> Integer.SIZE)),
                events.kind().written().get((int) (long) key),
                gathered.records,
                gathered.undated,
                span(gathered.days))));
        all.sort(Comparator.comparingInt(Feed::records).reversed());
        return List.copyOf(all);
    }

    private void add(Gathered feed, int event) {
        feed.records++;
        int date = events.on().codes().get(event);
        if (date == Codes.MISSING
                || events.on().days().first(date) != events.on().days().last(date)) {
            feed.undated++;
        } else if (events.on().days().first(date) >= BEGIN && events.on().days().first(date) <= today) {
            feed.days.set(events.on().days().first(date) - BEGIN);
        }
    }

    private Optional<Span> span(BitSet days) {
        if (days.isEmpty()) {
            return Optional.empty();
        }
        int[] at = days.stream().map(day -> day + BEGIN).toArray();
        int[] times = new int[at.length - 1];
        int longest = 0;
        for (int i = 0; i < times.length; i++) {
            times[i] = at[i + 1] - at[i];
            longest = times[i] > times[longest] ? i : longest;
        }
        boolean several = times.length > 0;
        int gapFrom = several ? at[longest] : at[0];
        int gapTo = several ? at[longest + 1] : at[0];
        int usual = several ? Arrays.stream(times).sorted().toArray()[times.length / 2] : 0;
        return Optional.of(new Span(at[0], at[at.length - 1], at.length, usual, gapFrom, gapTo, today));
    }
}
