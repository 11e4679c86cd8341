package dipstick.server.exchange;

import dipstick.core.population.Population;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.Listed;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.web.Problems;
import dipstick.server.web.Revision;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Fills templates in, each person's in their language where there is one, and tells who is left out and why. */
@Service
public class Letters {
    private static final String ENGLISH = "en";

    private final ExchangeMapper templates;
    private final PracticeSettings practice;
    private final Today today;
    private final AuditLog audit;

    Letters(ExchangeMapper templates, PracticeSettings practice, Today today, AuditLog audit) {
        this.templates = templates;
        this.practice = practice;
        this.today = today;
        this.audit = audit;
    }

    /** Somebody to whom nothing is written. */
    record LeftOut(String person, String name, String why) {}

    /** @param to the address for a letter, or the e-mail address */
    record Written(Listed person, String to, String language, LetterTemplate.Letter letter) {}

    record Run(List<Written> written, List<LeftOut> leftOut) {}

    /** How what is written comes to somebody. */
    enum Way {
        LETTER,
        EMAIL
    }

    List<LetterTemplate> all() {
        return templates.templates();
    }

    /** Saves one language of a template after it is tried; nothing of a template that cannot be filled in is saved. */
    @Transactional
    void save(LetterTemplate template) {
        template.filledIn(LetterField.example());
        Revision.save(
                template.revision() == 1,
                () -> templates.insert(template),
                () -> templates.update(template),
                "this template");
        audit.record(Act.LIST_CHANGED, "the letter “" + template.name() + "”, " + template.language());
    }

    /** Adds a language to a letter, or a new letter. */
    @Transactional
    public void add(String name, String language, String subject, String body) {
        save(new LetterTemplate(name, language, subject, body, 1));
    }

    /** @param seen the revision that was seen of it */
    @Transactional
    void remove(String name, String language, int seen) {
        if (templates.delete(name, language, seen) != 1) {
            throw Problems.changedMeanwhile(
                    "Somebody changed or removed this template meanwhile. It was not removed: look at it first.");
        }
        audit.record(Act.LIST_CHANGED, "the letter “" + name + "”, " + language + ", removed");
    }

    /** Writes to each of the people, but for those with whom something is in the way or who have no address of this kind. */
    Run write(String template, Way way, String list, List<Listed> people, Population records) {
        List<LetterTemplate> languages = templates.named(template);
        if (languages.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND,
                    "no-such-template",
                    "There is no letter “" + template + "” any more. Nothing was written.");
        }
        List<Written> written = new ArrayList<>();
        List<LeftOut> leftOut = new ArrayList<>();
        for (Listed one : people) {
            String id = one.person().id();
            List<String> to = way == Way.LETTER ? address(records, one) : email(records, id);
            if (!one.inTheWay().isEmpty()) {
                leftOut.add(new LeftOut(id, one.person().name(), one.inTheWay()));
            } else if (to.isEmpty()) {
                leftOut.add(new LeftOut(
                        id,
                        one.person().name(),
                        way == Way.LETTER ? "No address is on record." : "No e-mail address is on record."));
            } else {
                LetterTemplate chosen = inLanguage(languages, PersonLine.field(records, id, "language"));
                written.add(new Written(
                        one,
                        String.join("\n", to),
                        chosen.language(),
                        chosen.filledIn(LetterField.of(said(one, list, records)))));
            }
        }
        return new Run(written, leftOut);
    }

    LetterTemplate.Letter preview(LetterTemplate draft, Optional<Listed> person, String list, Population records) {
        return draft.filledIn(
                person.map(one -> LetterField.of(said(one, list, records))).orElseGet(LetterField::example));
    }

    private LetterField.Said said(Listed one, String list, Population records) {
        return new LetterField.Said(one, list, records, today.day(), practice.practice());
    }

    private static LetterTemplate inLanguage(List<LetterTemplate> languages, String wanted) {
        return Stream.of(wanted.toLowerCase(Locale.ROOT), ENGLISH)
                .flatMap(language ->
                        languages.stream().filter(one -> one.language().equals(language)))
                .findFirst()
                .orElse(languages.getFirst());
    }

    /** The name, and the lines of the address; empty where there is none on record. */
    static List<String> address(Population records, Listed one) {
        String id = one.person().id();
        List<String> lines = Stream.of(
                        PersonLine.field(records, id, "address"),
                        (PersonLine.field(records, id, "postcode") + " " + PersonLine.field(records, id, "city"))
                                .strip())
                .filter(line -> !line.isEmpty())
                .toList();
        return PersonLine.field(records, id, "address").isEmpty()
                ? List.of()
                : Stream.concat(Stream.of(LetterField.fullName(records, one)), lines.stream())
                        .toList();
    }

    private static List<String> email(Population records, String id) {
        String email = PersonLine.field(records, id, "email");
        return email.isEmpty() ? List.of() : List.of(email);
    }
}
