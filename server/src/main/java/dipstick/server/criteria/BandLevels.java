package dipstick.server.criteria;

import dipstick.core.criteria.Band;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.wording.SentencePrinter;
import dipstick.server.criteria.BenchAnswer.BandLevel;
import dipstick.server.criteria.BenchAnswer.Counts;
import dipstick.server.criteria.BenchAnswer.SentenceView;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/** How many of a list are in each band (criteria.md section 4). */
final class BandLevels {
    private final Reading reading;
    private final Map<Optional<String>, Counts> counts;

    BandLevels(Evaluator evaluator, Reading reading) {
        this.reading = reading;
        this.counts = counts(evaluator, reading);
    }

    /** @param written the bands as they stand in the document */
    List<BandLevel> each(JsonNode written, Set<String> sharedNames) {
        List<Band> bands = reading.set().bands();
        SentencePrinter printer = new SentencePrinter(reading.asOf());
        return IntStream.range(0, bands.size())
                .mapToObj(i -> {
                    Band band = bands.get(i);
                    JsonNode when = written.path(i).path("when");
                    return new BandLevel(
                            band.name(),
                            SentenceView.of(printer.print(band.when())),
                            SentencePrinter.undated(band.when(), when, sharedNames)
                                    .text(),
                            counts.getOrDefault(Optional.of(band.name()), new Counts(0, 0)));
                })
                .toList();
    }

    /** Those in none; nothing where there are no bands. */
    Optional<Counts> withoutAny() {
        return reading.set().bands().isEmpty()
                ? Optional.empty()
                : Optional.of(counts.getOrDefault(Optional.<String>empty(), new Counts(0, 0)));
    }

    private static Map<Optional<String>, Counts> counts(Evaluator evaluator, Reading reading) {
        Map<Optional<String>, Counts> counts = new HashMap<>();
        if (!reading.set().bands().isEmpty()) {
            for (ListMember member : evaluator.members(reading)) {
                boolean on = member.state() == ListMember.State.ON;
                counts.merge(
                        member.band(),
                        new Counts(on ? 1 : 0, on ? 0 : 1),
                        (one, more) -> new Counts(one.yes() + more.yes(), one.unsure() + more.unsure()));
            }
        }
        return counts;
    }

    /** Those on the list, or those to check, who are in a band; in none where there is none. */
    static BitSet peopleIn(Evaluator evaluator, Reading reading, Optional<String> band, ListMember.State state) {
        BitSet people = new BitSet();
        evaluator.members(reading).stream()
                .filter(member -> member.state() == state && member.band().equals(band))
                .forEach(member -> people.set(member.person()));
        return people;
    }
}
