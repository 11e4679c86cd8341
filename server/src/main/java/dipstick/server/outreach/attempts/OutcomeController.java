package dipstick.server.outreach.attempts;

import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.outreach.plan.Effect;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What can come of an attempt, on all lists. */
@RestController
@RequestMapping("/api/outcomes")
class OutcomeController {
    private final Outcomes outcomes;

    OutcomeController(Outcomes outcomes) {
        this.outcomes = outcomes;
    }

    record OfferedOutcome(
            @NotBlank @Size(max = 60) @Pattern(regexp = "[a-z0-9-]+")
            String id,

            @NotBlank @Size(max = 100) String name,
            @NotNull Effect effect) {}

    record OfferedOutcomes(@NotEmpty @Size(max = 40) List<@Valid OfferedOutcome> outcomes) {}

    /** @param revision by which changes that cross each other are told */
    record KnownOutcomes(List<AttemptOutcome> outcomes, int revision) {}

    /** Those that are not offered any more too. */
    @GetMapping
    KnownOutcomes known() {
        return new KnownOutcomes(outcomes.all(), outcomes.revision());
    }

    /** Makes these the outcomes that are offered, in this order. */
    @PutMapping
    KnownOutcomes offer(
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, @Valid @RequestBody OfferedOutcomes offered) {
        List<OfferedOutcome> all = offered.outcomes();
        outcomes.offer(
                IntStream.range(0, all.size())
                        .mapToObj(i -> new AttemptOutcome(
                                all.get(i).id(), all.get(i).name(), all.get(i).effect(), i + 1, true))
                        .toList(),
                EntityTag.number(ifMatch));
        return known();
    }
}
