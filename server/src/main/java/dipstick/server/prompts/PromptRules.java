package dipstick.server.prompts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.together.ListsTouched;
import dipstick.server.web.Revision;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When each list prompts; none does until somebody says so. */
@Service
class PromptRules {
    private final PromptMapper prompts;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    PromptRules(PromptMapper prompts, AuditLog audit, ApplicationEventPublisher events) {
        this.prompts = prompts;
        this.audit = audit;
        this.events = events;
    }

    PromptRule of(String set) {
        return prompts.rule(set).map(PromptMapper.RuleRow::rule).orElse(PromptRule.NONE);
    }

    /** 0 where nobody said anything yet. */
    int revision(String set) {
        return prompts.rule(set).map(PromptMapper.RuleRow::revision).orElse(0);
    }

    /** Saves a rule that was made of the one at a revision; gives its own. */
    @Transactional
    int save(String set, PromptRule rule, int seen) {
        PromptMapper.RuleRow row = PromptMapper.RuleRow.of(set, rule, seen + 1);
        Revision.save(
                seen == 0, () -> prompts.insertRule(row), () -> prompts.updateRule(row), "when this list prompts");
        audit.record(Act.LIST_CHANGED, set + ", when it prompts");
        events.publishEvent(ListsTouched.whole(Set.of(set)));
        return row.revision();
    }
}
