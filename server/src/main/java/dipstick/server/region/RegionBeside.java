package dipstick.server.region;

import dipstick.core.evaluate.LevelCounts;
import dipstick.server.accounts.Accounts;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.readings.ListCriteria;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Lays what a region answered beside the list here. */
@Component
class RegionBeside {
    private static final int FEWEST_FOR_A_QUARTER = 4;

    private final RegionQuestions questions;
    private final ListCriteria criteria;
    private final Evaluators evaluators;
    private final Accounts accounts;

    RegionBeside(RegionQuestions questions, ListCriteria criteria, Evaluators evaluators, Accounts accounts) {
        this.questions = questions;
        this.criteria = criteria;
        this.evaluators = evaluators;
        this.accounts = accounts;
    }

    /**
     * @param sameQuestion whether the region was asked what the list asks now
     * @param here by the records of now, as of the day that the region was asked for; nothing where nobody is meant
     * @param everywhere of all practices together; nothing where it is not told
     * @param quarterFrom what a quarter of the practices reach or exceed; nothing where fewer than four tell theirs
     * @param quarterUpTo what a quarter of them do not exceed
     * @param untold of how many practices the share is not told, or nobody is meant
     */
    record BesideRegion(
            String asOf,
            boolean sameQuestion,
            Optional<Portion> here,
            Optional<Portion> everywhere,
            Optional<Portion> quarterFrom,
            Optional<Portion> quarterUpTo,
            int practices,
            int untold,
            String broughtInAt,
            String broughtInBy) {}

    /** @param shouldHave whether the shares are of those who have what should be on record, or of those who are on the list */
    BesideRegion of(SavedSet list, boolean shouldHave, RegionAnswer answer) {
        List<Portion> shares = answer.told().shares(shouldHave);
        Optional<List<Portion>> enough = Optional.of(shares).filter(some -> some.size() >= FEWEST_FOR_A_QUARTER);
        return new BesideRegion(
                answer.asOf().toString(),
                questions.of(list).fingerprint().equals(answer.asked()),
                criteria.reading(list, evaluators.asOf(Optional.of(answer.asOf())))
                        .map(LevelCounts::of)
                        .flatMap(levels -> Counts.of(levels).share(shouldHave)),
                answer.told().all().share(shouldHave),
                enough.map(Portion::quarterFrom),
                enough.map(Portion::quarterUpTo),
                answer.told().practices().size(),
                answer.told().practices().size() - shares.size(),
                answer.broughtInAt().toString(),
                accounts.displayName(answer.broughtInBy()));
    }
}
