package dipstick.server.readings;

import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.ListMember;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.web.Problems;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** The readings that were taken of lists. */
@Service
public class Readings {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final ReadingMapper readings;
    private final CriteriaSets sets;

    Readings(ReadingMapper readings, CriteriaSets sets) {
        this.readings = readings;
        this.sets = sets;
    }

    /** The newest first. */
    public List<TakenReading> of(String set) {
        return readings.ofSet(sets.getInForce(set).id());
    }

    public Optional<TakenReading> latest(String set) {
        return readings.latest(set);
    }

    /** By the id of its set. */
    public Map<String, TakenReading> latestOfEach() {
        return readings.latestOfEach().stream().collect(Collectors.toMap(TakenReading::setId, Function.identity()));
    }

    public TakenReading find(String set, long id) {
        return readings.find(sets.getInForce(set).id(), id)
                .orElseThrow(() ->
                        Problems.refused(HttpStatus.NOT_FOUND, "no-such-reading", "This list has no such reading."));
    }

    /** How many were on the list in each band in which there was anybody; in none under the empty name. */
    public Map<String, Integer> inBands(TakenReading reading) {
        return readings.inBands(reading, ListMember.State.ON.word()).stream()
                .collect(Collectors.toMap(ReadingMapper.InBand::band, ReadingMapper.InBand::people));
    }

    public List<ReadMember> members(TakenReading reading) {
        return readings.members(reading);
    }

    /** Those of some people, by their numbers. */
    public List<ReadMember> membersAmong(TakenReading reading, Set<String> people) {
        return people.stream()
                .sorted()
                .flatMap(person -> readings.member(reading, person).stream())
                .toList();
    }

    /** What is different from the reading before. */
    public List<ReadChange> changes(TakenReading reading) {
        return readings.changes(reading.id());
    }

    /** What made the difference last for everybody whose place changed after one reading, up to a later one. */
    public Map<String, ReadChange> changesBetween(TakenReading after, TakenReading through) {
        Map<String, ReadChange> last = new HashMap<>();
        readings.changesBetween(after.setId(), after.id(), through.id())
                .forEach(change -> last.putIfAbsent(change.person(), change));
        return last;
    }

    /** How each provider's and each site's people stood; nothing for readings taken before this was kept. */
    public List<ReadPart> parts(TakenReading reading) {
        return readings.parts(reading.id());
    }

    /** How a list stood at each of its readings, the first one first. */
    public List<LevelAt> levelsOver(String set) {
        return of(set).reversed().stream()
                .map(one -> new LevelAt(one.asOf(), one.eligible(), one.has(), one.onList(), one.toCheck()))
                .toList();
    }

    /**
     * The same of one part of a list, at the readings at which there was somebody in it.
     *
     * @param field one of {@link ReadPart#FIELDS}
     */
    public List<LevelAt> levelsOver(String set, String field, String name) {
        return readings.levelsOfPart(sets.getInForce(set).id(), field, name);
    }

    /** How many people there were at each level; nothing for readings taken before this was kept. */
    Optional<LevelCounts> levels(TakenReading reading) {
        return Optional.of(readings.levels(reading.id()))
                .filter(written -> !written.isEmpty())
                .map(written -> JSON.readValue(written, LevelCounts.class));
    }

    /** Whether no list was ever read. */
    public boolean none() {
        return sets.inForce().stream().noneMatch(set -> latest(set.id()).isPresent());
    }
}
