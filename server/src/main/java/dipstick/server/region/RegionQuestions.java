package dipstick.server.region;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.NamedPeople;
import dipstick.core.parts.SentQuestion;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.SavedSet;
import dipstick.server.practice.Today;
import dipstick.server.readings.ListCriteria;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** What a list asks of a region: its set, those that it names, and the dials as they are turned for it. */
@Component
class RegionQuestions {
    private final CriteriaDocuments documents;
    private final ListCriteria criteria;
    private final Sharing sharing;
    private final Today today;

    RegionQuestions(CriteriaDocuments documents, ListCriteria criteria, Sharing sharing, Today today) {
        this.documents = documents;
        this.criteria = criteria;
        this.sharing = sharing;
        this.today = today;
    }

    SentQuestion of(SavedSet list) {
        return of(list, documents.withNamed(list));
    }

    private SentQuestion of(SavedSet list, List<CriteriaSource> sources) {
        return new SentQuestion(
                sources.stream().map(CriteriaSource::json).toList(), criteria.dialsOf(list), today.zone(), today.day());
    }

    /** The same to leave the house; refused where it would tell what whoever sends it may not see, or name somebody. */
    SentQuestion toSend(SavedSet list) {
        List<CriteriaSource> sent = documents.withNamed(list);
        if (sent.stream().anyMatch(one -> !sharing.here(one.id()).includes(Right.VIEW))) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "names-unshared",
                    "This set names another that is not shared with you. Whoever owns it can send the question.");
        }
        List<String> naming = sent.stream()
                .filter(one -> NamedPeople.areIn(one.json()))
                .map(one -> "“" + one.name() + "”")
                .toList();
        if (!naming.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "names-people",
                    String.join(", ", naming) + " names people of this practice, by a roster or by their numbers. That"
                            + " means nobody elsewhere, and must not leave the house; so there is no question to send.");
        }
        return of(list, sent);
    }
}
