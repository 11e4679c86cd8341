package dipstick.server.hooks;

import dipstick.core.population.Population;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.hooks.HookCall.Patient;
import dipstick.server.hooks.HookMapper.ToldCard;
import dipstick.server.hooks.ServicesController.Feedback;
import dipstick.server.hooks.ServicesController.Overridden;
import dipstick.server.practice.Today;
import dipstick.server.prompts.Moment;
import dipstick.server.prompts.Prompt;
import dipstick.server.prompts.Prompts;
import dipstick.server.records.OtherNumbers;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What record systems are told, and what came of it. */
@Service
class CardsTold {
    /** After that nobody says any more what came of a card. */
    private static final Duration ANSWERED_WITHIN = Duration.ofDays(90);

    /** Whoever said on a card that it is not wanted now is not told again for so long. */
    private static final int DAYS_DISMISSED = 30;

    private final Prompts prompts;
    private final HookMapper hooks;
    private final CardWriter writer;
    private final OtherNumbers numbers;
    private final Views views;
    private final AuditLog audit;
    private final Today today;

    CardsTold(
            Prompts prompts,
            HookMapper hooks,
            CardWriter writer,
            OtherNumbers numbers,
            Views views,
            AuditLog audit,
            Today today) {
        this.prompts = prompts;
        this.hooks = hooks;
        this.writer = writer;
        this.numbers = numbers;
        this.views = views;
        this.audit = audit;
        this.today = today;
    }

    /** Nothing for somebody who is on no list that tells, or not known here: the record system does not learn which. */
    @Transactional
    List<Card> of(HookService service, HookCall asked, RecordSystem system) {
        Population records = views.current().population();
        Optional<String> person = number(asked, system)
                .map(number -> numbers.goesOnAs(numbers.meantBy(
                        number, system.source(), one -> records.find(one).isPresent())))
                .filter(one -> records.find(one).isPresent());
        if (person.isEmpty()) {
            return List.of();
        }
        List<Prompt> due = prompts.of(person.get(), Moment.RECORD_SYSTEM, _ -> true, system.account(), today.day());
        audit.record(
                Act.PERSON_TOLD,
                person.get() + ", " + service.hook() + " at " + system.name() + ": "
                        + (due.isEmpty()
                                ? "nothing due"
                                : String.join(
                                        ", ", due.stream().map(Prompt::set).toList())));
        return due.stream()
                .map(prompt -> {
                    String uuid = UUID.randomUUID().toString();
                    hooks.insertCard(new ToldCard(
                            uuid, system.id(), service.hook(), person.get(), prompt.set(), today.now(), "", ""));
                    return writer.card(uuid, person.get(), prompt);
                })
                .toList();
    }

    /** The number by which a record system names the person; nothing where it knows none that is known here. */
    private static Optional<String> number(HookCall asked, RecordSystem system) {
        if (system.numberSystem().isEmpty()) {
            return Optional.of(asked.context().patientId());
        }
        Patient patient = asked.patient()
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.PRECONDITION_FAILED,
                        "patient-wanted",
                        "The Patient is wanted as prefetch “patient”, since people are known here by "
                                + system.numberSystem() + "."));
        if (patient.id().filter(id -> !id.equals(asked.context().patientId())).isPresent()) {
            throw Problems.refused(
                    HttpStatus.BAD_REQUEST,
                    "other-patient",
                    "The Patient that was sent along is another one than the context names. Nothing was said of either.");
        }
        return patient.identifier().orElse(List.of()).stream()
                .filter(one ->
                        one.system().filter(system.numberSystem()::equals).isPresent())
                .flatMap(one -> one.value().stream())
                .map(String::strip)
                .filter(value -> !value.isEmpty())
                .findFirst();
    }

    /** All of it, or nothing where one of the cards was not told to this record system. */
    @Transactional
    void answered(List<Feedback> feedbacks, RecordSystem system) {
        List<ToldCard> told = new ArrayList<>();
        for (Feedback feedback : feedbacks) {
            told.add(hooks.card(feedback.card(), system.id())
                    .orElseThrow(() -> Problems.refused(
                            HttpStatus.NOT_FOUND,
                            "no-such-card",
                            "One of the cards was not told to this record system, or too long ago. Nothing of the"
                                    + " feedback was kept.")));
        }
        for (int i = 0; i < told.size(); i++) {
            answered(told.get(i), feedbacks.get(i), system);
        }
    }

    private void answered(ToldCard card, Feedback feedback, RecordSystem system) {
        String reason = feedback.overrideReason().map(Overridden::words).orElse("");
        boolean said =
                card.outcome().equals(feedback.outcome()) && card.reason().equals(reason);
        if (said) {
            return;
        }
        hooks.answer(card.uuid(), feedback.outcome(), reason);
        audit.record(
                Act.CARD_ANSWERED,
                card.person() + ", " + card.setId() + " at " + system.name() + ": " + feedback.outcome()
                        + (reason.isEmpty() ? "" : ", " + reason));
        if (feedback.outcome().equals("overridden") && !reason.isEmpty()) {
            prompts.dismiss(
                    card.setId(),
                    numbers.goesOnAs(card.person()),
                    reason,
                    today.day().plusDays(DAYS_DISMISSED),
                    system.account());
        }
    }

    /** What nobody will answer any more goes; what was said in answer stays with the person. */
    @Scheduled(fixedDelayString = "PT6H")
    void forget() {
        hooks.forgetUnanswered(today.now().minus(ANSWERED_WITHIN));
    }
}
