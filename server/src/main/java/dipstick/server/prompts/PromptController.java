package dipstick.server.prompts;

import dipstick.server.accounts.Accounts;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.ListedPeople;
import dipstick.server.records.OtherNumbers;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
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

/** When a list prompts, and of whom not for a while. */
@RestController
@RequestMapping("/api/lists/{set}/prompt")
class PromptController {
    private final PromptRules rules;
    private final Dismissals dismissals;
    private final ListedPeople listed;
    private final CriteriaSets sets;
    private final OtherNumbers numbers;
    private final Sharing sharing;
    private final Accounts accounts;

    PromptController(
            PromptRules rules,
            Dismissals dismissals,
            ListedPeople listed,
            CriteriaSets sets,
            OtherNumbers numbers,
            Sharing sharing,
            Accounts accounts) {
        this.rules = rules;
        this.dismissals = dismissals;
        this.listed = listed;
        this.sets = sets;
        this.numbers = numbers;
        this.sharing = sharing;
        this.accounts = accounts;
    }

    /** @param revision 0 where nobody said yet when the list prompts */
    record PromptRuleKept(PromptRule rule, int revision) {}

    @GetMapping
    PromptRuleKept get(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        String id = sets.getInForce(set).id();
        return new PromptRuleKept(rules.of(id), rules.revision(id));
    }

    @PutMapping
    PromptRuleKept put(
            @PathVariable String set,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody PromptRule rule) {
        sharing.require(set, Right.CHANGE);
        String id = sets.getInForce(set).id();
        int revision = rules.save(id, rule, EntityTag.number(ifMatch));
        return new PromptRuleKept(rules.of(id), revision);
    }

    /** @param until the last day on which nobody is told of them, an ISO date */
    record Dismissing(
            @NotBlank @Size(max = 100) String person,
            @NotBlank @Size(max = 400) String reason,
            @NotNull LocalDate until) {}

    /** @param id by which it is ended */
    record Dismissed(long id) {}

    @PostMapping("/dismissals")
    Dismissed dismiss(@PathVariable String set, @Valid @RequestBody Dismissing dismissing) {
        sharing.require(set, Right.WORK);
        String id = sets.getInForce(set).id();
        String person = numbers.goesOnAs(dismissing.person());
        listed.requireListed(id, person, false);
        return new Dismissed(dismissals.dismiss(
                id,
                person,
                dismissing.reason(),
                dismissing.until(),
                accounts.here().name()));
    }

    @DeleteMapping("/dismissals/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable String set, @PathVariable long id) {
        sharing.require(set, Right.WORK);
        dismissals.end(sets.getInForce(set).id(), id, accounts.here().name());
    }
}
