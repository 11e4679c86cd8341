package dipstick.server.criteria;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.KeptAnswers;
import dipstick.core.evaluate.ReadAnew;
import dipstick.server.practice.Today;
import dipstick.server.records.View;
import dipstick.server.records.Views;
import dipstick.server.web.Days;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps the evaluators of the days that are looked at, each with its answers, while their view is the current one. */
@Service
public class Evaluators {
    /** A month back and ahead by days, a year by months, and a few more. */
    private static final int MOST_DAYS = 96;

    private final Views views;
    private final Today today;
    private final KeptAnswers kept = KeptAnswers.inThisMemory();
    private long version = -1;
    private final Map<LocalDate, Evaluator> byDay = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<LocalDate, Evaluator> eldest) {
            boolean goes = size() > MOST_DAYS;
            if (goes) {
                eldest.getValue().forget();
            }
            return goes;
        }
    };

    Evaluators(Views views, Today today) {
        this.views = views;
        this.today = today;
    }

    /**
     * The evaluator of the records as they are now, which it keeps to its end.
     *
     * @param day the practice's today where there is none
     */
    public Evaluator asOf(Optional<LocalDate> day) {
        return now(day).evaluator();
    }

    /** The records as they are now, and the evaluator of just them as of the practice's today. */
    public Now now() {
        return now(Optional.empty());
    }

    /** @param evaluator of the records that the view shows */
    public record Now(View view, Evaluator evaluator) {}

    private synchronized Now now(Optional<LocalDate> day) {
        day.ifPresent(Days::requireCounted);
        View view = views.current();
        if (view.version() != version) {
            follow(view);
            version = view.version();
        }
        return new Now(
                view,
                byDay.computeIfAbsent(day.orElseGet(today::day), asOf -> new Evaluator(view.population(), asOf, kept)));
    }

    /** What was answered stays so for whoever was not read anew. */
    private void follow(View view) {
        views.readAnew(version, view.version())
                .ifPresentOrElse(changes -> byDay.replaceAll((_, one) -> over(one, view, changes)), this::forgetAll);
    }

    private static Evaluator over(Evaluator before, View view, List<ReadAnew> changes) {
        Evaluator evaluator = before;
        for (ReadAnew some : changes) {
            evaluator = evaluator.over(view.population(), some);
        }
        return evaluator;
    }

    private void forgetAll() {
        byDay.values().forEach(Evaluator::forget);
        byDay.clear();
    }

    /** How much room the answers take that are kept, and of how much use they are. */
    public KeptAnswers.Figures answers() {
        return kept.figures();
    }

    /** The records that {@code one} sees, as of another day. */
    public synchronized Evaluator sameRecordsAsOf(Evaluator one, LocalDate day) {
        boolean isCurrent =
                views.current().version() == version && views.current().population() == one.population();
        return isCurrent ? asOf(Optional.of(day)) : new Evaluator(one.population(), day);
    }
}
