package dipstick.server.outreach;

import dipstick.server.criteria.CriteriaSets;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
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
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How lists are worked, and what can come of an attempt. */
@RestController
class MannerController {
    private final Manners manners;
    private final Outcomes outcomes;
    private final CriteriaSets sets;
    private final Sharing sharing;

    MannerController(Manners manners, Outcomes outcomes, CriteriaSets sets, Sharing sharing) {
        this.manners = manners;
        this.outcomes = outcomes;
        this.sets = sets;
        this.sharing = sharing;
    }

    record OfferedOutcome(
            @NotBlank @Size(max = 60) @Pattern(regexp = "[a-z0-9-]+")
            String id,

            @NotBlank @Size(max = 100) String name,
            @NotNull Effect effect) {}

    record OfferedOutcomes(@NotEmpty @Size(max = 40) List<@Valid OfferedOutcome> outcomes) {}

    @PutMapping("/api/lists/{set}/desk/manner")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void save(
            @PathVariable String set,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody Manner manner) {
        sharing.require(set, Right.CHANGE);
        manners.save(sets.getInForce(set).id(), manner, EntityTag.number(ifMatch));
    }

    /** Makes these the outcomes that are offered, in this order, on all lists. */
    @PutMapping("/api/outcomes")
    List<AttemptOutcome> offer(@Valid @RequestBody OfferedOutcomes offered) {
        List<OfferedOutcome> all = offered.outcomes();
        return outcomes.offer(IntStream.range(0, all.size())
                .mapToObj(i -> new AttemptOutcome(
                        all.get(i).id(), all.get(i).name(), all.get(i).effect(), i + 1, true))
                .toList());
    }
}
