package dipstick.server.readings;

import dipstick.server.criteria.CriteriaSets;
import dipstick.server.practice.Schedule;
import dipstick.server.practice.Today;
import dipstick.server.records.ValueCounts.ValueCount;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** When a list is read by itself, and with which dials. */
@RestController
@RequestMapping("/api/lists/{set}/reading-plan")
class ReadingPlanController {
    private final ReadingPlans plans;
    private final CriteriaSets sets;
    private final Sharing sharing;
    private final Today today;

    ReadingPlanController(ReadingPlans plans, CriteriaSets sets, Sharing sharing, Today today) {
        this.plans = plans;
        this.sets = sets;
        this.sharing = sharing;
        this.today = today;
    }

    /**
     * @param at a time of day, such as 06:00
     * @param dials the dials that the set has, as in its document
     * @param values on record that may be chosen for a dial, most frequent first, by its name
     * @param turned those that are not at their default, by name
     * @param next the instant of the next reading; nothing where there is none
     */
    record ReadingPlanView(
            Schedule.Every every,
            DayOfWeek dayOfWeek,
            int dayOfMonth,
            String at,
            JsonNode dials,
            Map<String, List<ValueCount>> values,
            Map<String, String> turned,
            Optional<String> next,
            int revision) {}

    record ReadingPlanChange(
            @NotNull Schedule.Every every,
            @NotNull DayOfWeek dayOfWeek,
            @Min(1) @Max(31) int dayOfMonth,

            @NotNull @Pattern(regexp = "([01]\\d|2[0-3]):[0-5]\\d")
            String at,

            @NotNull Map<String, String> turned) {}

    @GetMapping
    ReadingPlanView get(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        ReadingPlan plan = plans.of(set);
        return new ReadingPlanView(
                plan.schedule().every(),
                plan.schedule().dayOfWeek(),
                plan.schedule().dayOfMonth(),
                plan.schedule().at().toString(),
                sets.getInForce(set).json().path("dials"),
                plans.values(set),
                plan.dials(),
                plan.schedule().nextDue(today.now(), today.zone()).map(Instant::toString),
                plan.revision());
    }

    @PutMapping
    ReadingPlanView put(
            @PathVariable String set,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody ReadingPlanChange change) {
        sharing.require(set, Right.CHANGE);
        plans.save(new ReadingPlan(
                set,
                new Schedule(change.every(), change.dayOfWeek(), change.dayOfMonth(), LocalTime.parse(change.at())),
                change.turned(),
                EntityTag.number(ifMatch) + 1));
        return get(set);
    }

    /** @param turned the dials as they would be, by name */
    record Trial(@NotNull Map<String, String> turned) {}

    /**
     * What a list would be.
     *
     * @param doubts what is nowhere on record, in sentences
     */
    record Tried(int on, int toCheck, int onNow, int toCheckNow, List<String> doubts) {}

    /** What turning the dials so would do, before it is done. */
    @PostMapping("/trial")
    Tried trial(@PathVariable String set, @Valid @RequestBody Trial trial) {
        sharing.require(set, Right.VIEW);
        return plans.tried(set, trial.turned());
    }
}
