package dipstick.server.levels;

import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import dipstick.server.outreach.day.Tallies;
import dipstick.server.people.PersonLine;
import dipstick.server.readings.ReadPart;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How the people of one provider, or one site, stand: on the list at the last reading, and with the colleagues now.
 *
 * @param name empty for those who have none
 * @param open how many are still to be done on the list
 * @param done how many came to have it while they were on the list
 * @param medianDays from joining to done; nothing where nobody is
 */
record PartOfList(String name, int eligible, int has, int onList, int open, int done, Optional<Long> medianDays) {
    /** @param parts of the last reading */
    static List<PartOfList> all(String field, List<ReadPart> parts, List<Tallies.Way> ways, Population records) {
        Map<String, ReadPart> read = new TreeMap<>();
        parts.stream()
                .filter(one -> one.field().equals(field))
                .forEach(one -> read.put(NormalText.of(one.name()), one));
        Map<String, List<Tallies.Way>> worked = new TreeMap<>();
        for (Tallies.Way way : ways) {
            String name = PersonLine.field(records, way.person(), field);
            read.putIfAbsent(NormalText.of(name), new ReadPart(field, name, 0, 0, 0, 0));
            worked.computeIfAbsent(NormalText.of(name), _ -> new ArrayList<>()).add(way);
        }
        return read.entrySet().stream()
                .map(part -> of(part.getValue(), worked.getOrDefault(part.getKey(), List.of())))
                .sorted(Comparator.comparing(PartOfList::name))
                .toList();
    }

    private static PartOfList of(ReadPart read, List<Tallies.Way> ways) {
        List<Long> days = ways.stream()
                .filter(Tallies.Way::done)
                .map(way -> ChronoUnit.DAYS.between(way.joinedOn(), way.changedOn()))
                .sorted()
                .toList();
        return new PartOfList(
                read.name(),
                read.eligible(),
                read.has(),
                read.onList(),
                (int) ways.stream().filter(Tallies.Way::open).count(),
                days.size(),
                days.isEmpty() ? Optional.empty() : Optional.of(days.get(days.size() / 2)));
    }
}
