package dipstick.server.readings;

import dipstick.server.accounts.Accounts;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.security.Principal;
import java.util.List;
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
    private final Sharing sharing;
    private final Accounts accounts;

    ReadingController(Readings readings, Sharing sharing, Accounts accounts) {
        this.readings = readings;
        this.sharing = sharing;
        this.accounts = accounts;
    }

    /** @param takenBy empty where it was taken by itself when records came */
    record ReadingView(
            long id,
            int version,
            String asOf,
            String takenAt,
            String takenBy,
            TakenReading.Occasion occasion,
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
        return view(readings.take(set, who.getName()));
    }

    private ReadingView view(TakenReading one) {
        return new ReadingView(
                one.id(),
                one.version(),
                one.asOf().toString(),
                one.takenAt().toString(),
                one.takenBy().isEmpty() ? "" : accounts.displayName(one.takenBy()),
                one.occasion(),
                one.eligible(),
                one.has(),
                one.onList(),
                one.toCheck(),
                one.joined(),
                one.gone());
    }
}
