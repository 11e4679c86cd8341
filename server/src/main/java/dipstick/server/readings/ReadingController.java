package dipstick.server.readings;

import dipstick.core.criteria.CriteriaSet;
import dipstick.server.accounts.Accounts;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The readings of a list. */
@RestController
@RequestMapping("/api/lists/{set}/readings")
class ReadingController {
    private final Readings readings;
    private final TakingReadings taking;
    private final ListCriteria criteria;
    private final Views views;
    private final Sharing sharing;
    private final Accounts accounts;

    ReadingController(
            Readings readings,
            TakingReadings taking,
            ListCriteria criteria,
            Views views,
            Sharing sharing,
            Accounts accounts) {
        this.readings = readings;
        this.taking = taking;
        this.criteria = criteria;
        this.views = views;
        this.sharing = sharing;
        this.accounts = accounts;
    }

    /**
     * @param takenBy empty where it was taken by itself
     * @param turned the dials that were not at their default, by name
     */
    record ReadingView(
            long id,
            int version,
            String asOf,
            String takenAt,
            String takenBy,
            TakenReading.Occasion occasion,
            Map<String, String> turned,
            int eligible,
            int has,
            int onList,
            int toCheck,
            int joined,
            int gone) {}

    /** The newest first. */
    @GetMapping
    List<ReadingView> all(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        return readings.of(set).stream().map(this::view).toList();
    }

    /** Takes a reading as of today. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ReadingView take(@PathVariable String set, Principal who) {
        sharing.require(set, Right.CHANGE);
        return view(taking.take(set, who.getName()));
    }

    /** @param levels nothing for a reading taken before they were kept */
    record KeptLevels(Optional<ReadingLevels> levels) {}

    /** How many people there were at each level of a reading. */
    @GetMapping("/{reading}/levels")
    KeptLevels levels(@PathVariable String set, @PathVariable long reading) {
        sharing.require(set, Right.VIEW);
        TakenReading taken = readings.find(set, reading);
        Optional<CriteriaSet> then =
                criteria.at(taken, views.current().population().fields());
        return new KeptLevels(readings.levels(taken).map(counts -> ReadingLevels.of(counts, then, taken.asOf())));
    }

    private ReadingView view(TakenReading one) {
        return new ReadingView(
                one.id(),
                one.version(),
                one.asOf().toString(),
                one.takenAt().toString(),
                one.takenBy().isEmpty() ? "" : accounts.displayName(one.takenBy()),
                one.occasion(),
                ReadingPlan.dials(one.dials()),
                one.eligible(),
                one.has(),
                one.onList(),
                one.toCheck(),
                one.joined(),
                one.gone());
    }
}
