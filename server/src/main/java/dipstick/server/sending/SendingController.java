package dipstick.server.sending;

import dipstick.server.accounts.Accounts;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.practice.Schedule;
import dipstick.server.practice.Today;
import dipstick.server.sending.Sending.What;
import dipstick.server.sending.SendingMapper.SentTo;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is sent to colleagues by itself. */
@RestController
@RequestMapping("/api/sendings")
class SendingController {
    private final Sendings sendings;
    private final CriteriaSets sets;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Today today;

    SendingController(Sendings sendings, CriteriaSets sets, Sharing sharing, Accounts accounts, Today today) {
        this.sendings = sendings;
        this.sets = sets;
        this.sharing = sharing;
        this.accounts = accounts;
        this.today = today;
    }

    /**
     * @param problem why they were not sent it the last time; empty where they were, or need not have been
     * @param reachable whether they have an e-mail address here
     */
    record Recipient(String name, String displayName, boolean reachable, String problem) {}

    /**
     * @param set the list; empty for the sheet of all
     * @param next when it is sent next, an ISO time; nothing where it is not
     */
    record SendingView(
            String id,
            String set,
            String list,
            What what,
            Schedule.Every every,
            DayOfWeek dayOfWeek,
            int dayOfMonth,
            String at,
            boolean onlyNew,
            List<Recipient> colleagues,
            Optional<String> next,
            int revision) {}

    /** @param set that it is of; a sending that is there stays with its own */
    record SendingChange(
            @NotNull @Size(max = 200) String set,
            @NotNull What what,
            @NotNull Schedule.Every every,
            @NotNull DayOfWeek dayOfWeek,
            @Min(1) @Max(31) int dayOfMonth,

            @NotNull @Pattern(regexp = "([01]\\d|2[0-3]):[0-5]\\d")
            String at,

            boolean onlyNew,
            @NotEmpty @Size(max = 200) Set<@Size(max = 100) String> colleagues) {}

    /** Those of lists that whoever asks may change, and of all lists. */
    @GetMapping
    List<SendingView> all() {
        return sendings.all().stream().filter(this::isMine).map(this::view).toList();
    }

    /** Without If-Match it is a new one. */
    @PutMapping("/{id}")
    SendingView put(
            @PathVariable @Size(max = 36) String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            @Valid @RequestBody SendingChange change) {
        Optional<Sending> before = sendings.find(id);
        before.filter(one -> !isMine(one)).ifPresent(_ -> {
            throw noSuchSending();
        });
        String set = before.map(Sending::setId).orElse(change.set());
        requireMayChange(set);
        requireAList(set, change.what());
        return view(sendings.save(
                new Sending(
                        id,
                        set,
                        change.what(),
                        new Schedule(
                                change.every(), change.dayOfWeek(), change.dayOfMonth(), LocalTime.parse(change.at())),
                        change.onlyNew(),
                        before.map(Sending::account)
                                .orElseGet(() -> accounts.here().name()),
                        Optional.ofNullable(ifMatch).map(EntityTag::number).orElse(0) + 1),
                change.colleagues()));
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        sendings.remove(sendings.find(id).filter(this::isMine).orElseThrow(SendingController::noSuchSending));
    }

    /** @param set empty for the morning sheet of all lists */
    record SendNow(
            @NotNull @Size(max = 200) String set, @NotNull What what) {}

    /** Sends it to whoever is signed in, as they may see it. */
    @PostMapping("/now")
    Sendings.SentNow now(@Valid @RequestBody SendNow now) {
        if (!now.set().isEmpty()) {
            sharing.require(now.set(), Right.VIEW);
        }
        requireAList(now.set(), now.what());
        return sendings.now(now.set(), now.what());
    }

    private boolean isMine(Sending sending) {
        return sending.setId().isEmpty() || sharing.here(sending.setId()).includes(Right.CHANGE);
    }

    private void requireMayChange(String set) {
        if (!set.isEmpty()) {
            sharing.require(set, Right.CHANGE);
        }
    }

    private void requireAList(String set, What what) {
        if (!set.isEmpty()) {
            sets.getInForce(set);
        } else if (what != What.MORNING) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "no-list-named",
                    "Only the morning sheet can be of all lists; say which list is to be sent. Nothing was saved.");
        }
    }

    private static RuntimeException noSuchSending() {
        return Problems.refused(
                HttpStatus.NOT_FOUND, "no-such-sending", "There is nothing of this name that is sent any more.");
    }

    private SendingView view(Sending sending) {
        Schedule schedule = sending.schedule();
        return new SendingView(
                sending.id(),
                sending.setId(),
                sending.setId().isEmpty() ? "" : sets.get(sending.setId()).publishedName(),
                sending.what(),
                schedule.every(),
                schedule.dayOfWeek(),
                schedule.dayOfMonth(),
                schedule.at().toString(),
                sending.onlyNew(),
                sendings.sentTo(sending.id()).stream().map(this::recipient).toList(),
                schedule.nextDue(today.now(), today.zone()).map(Instant::toString),
                sending.revision());
    }

    private Recipient recipient(SentTo to) {
        return new Recipient(
                to.account(),
                accounts.displayName(to.account()),
                !accounts.emailOf(to.account()).isEmpty(),
                to.problem());
    }
}
