package dipstick.server.exchange;

import dipstick.core.population.Population;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.exchange.WrittenTo.What;
import dipstick.server.outreach.ContactSteps;
import dipstick.server.outreach.Listed;
import dipstick.server.paper.Paper;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import dipstick.server.web.Problems;
import dipstick.server.web.Revision;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Fills templates in, each person's in their language where there is one, and tells who is left out and why. */
@Service
public class Letters {
    private static final String ENGLISH = "en";
    private static final LetterTemplate.Letter NOTHING = new LetterTemplate.Letter("", "");

    private final ExchangeMapper templates;
    private final Letterheads letterheads;
    private final WrittenTo writtenTo;
    private final ContactSteps steps;
    private final Paper paper;
    private final Today today;
    private final AuditLog audit;

    Letters(
            ExchangeMapper templates,
            Letterheads letterheads,
            WrittenTo writtenTo,
            ContactSteps steps,
            Paper paper,
            Today today,
            AuditLog audit) {
        this.templates = templates;
        this.letterheads = letterheads;
        this.writtenTo = writtenTo;
        this.steps = steps;
        this.paper = paper;
        this.today = today;
        this.audit = audit;
    }

    /** Somebody to whom nothing is written. */
    record LeftOut(String person, String name, String why) {}

    /** @param to the lines of the address for a letter, or the e-mail address */
    record Written(Listed person, List<String> to, String language, LetterTemplate.Letter letter) {}

    record Run(List<Written> written, List<LeftOut> leftOut) {}

    /**
     * What is to be written to whom.
     *
     * @param set the id of the list
     * @param again whether it goes also to those to whom the same went within the contact plan's step
     * @param toCheck whether it goes also to those who are to check
     */
    record Order(
            String template,
            What what,
            String set,
            List<Listed> people,
            Population records,
            boolean again,
            boolean toCheck) {}

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

    /**
     * Writes to each of the people, but for those with whom something is in the way, who have no address of this kind or one
     * that does not fit, of whom something cannot be printed, or to whom the same went just now.
     */
    Run write(Order order) {
        List<LetterTemplate> languages = order.what().isWritten() ? templates.named(order.template()) : List.of();
        if (languages.isEmpty() && order.what().isWritten()) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND,
                    "no-such-template",
                    "There is no letter “" + order.template() + "” any more. Nothing was written.");
        }
        languages.forEach(one -> refuseUnlessNamed(one, order.set()));
        Map<String, String> lately =
                order.again() ? Map.of() : writtenTo.lately(order.set(), order.what(), order.template());
        List<Written> written = new ArrayList<>();
        List<LeftOut> leftOut = new ArrayList<>();
        for (Listed one : order.people()) {
            try {
                written.add(written(order, one, languages, lately));
            } catch (NotWritten why) {
                leftOut.add(new LeftOut(one.person().id(), one.person().name(), why.words()));
            }
        }
        return new Run(written, leftOut);
    }

    private Written written(Order order, Listed one, List<LetterTemplate> languages, Map<String, String> lately)
            throws NotWritten {
        String id = one.person().id();
        refuse(one.inTheWay());
        refuse(one.isToCheck() && !order.toCheck() ? "Is to check, not on the list: look at the record first." : "");
        if (order.what() == What.CALL) {
            refuse(unprintable(one.person().name() + one.why() + one.lastAttempt(), "what is known of them"));
            return new Written(one, List.of(), "", NOTHING);
        }
        List<String> to = order.what() == What.EMAIL ? email(order.records(), id) : posted(order, one);
        refuse(lately.getOrDefault(id, ""));
        if (order.what() == What.LABEL) {
            return new Written(one, to, "", NOTHING);
        }
        LetterTemplate chosen = inLanguage(languages, PersonLine.field(order.records(), id, "language"));
        LetterTemplate.Letter letter = chosen.filledIn(LetterField.of(said(one, order.set(), order.records())));
        if (order.what() == What.LETTER) {
            refuse(unprintable(letter.subject() + letter.body(), "the letter"));
        }
        return new Written(one, to, chosen.language(), letter);
    }

    /** The address, as it can be printed and fits. */
    private List<String> posted(Order order, Listed one) throws NotWritten {
        List<String> lines = address(order.records(), one);
        refuse(lines.isEmpty() ? "No address is on record." : "");
        refuse(unprintable(String.join("\n", lines), "the name or the address"));
        boolean fits = (order.what() == What.LABEL ? paper.onLabel(lines) : paper.inWindow(lines)).isPresent();
        refuse(
                fits
                        ? ""
                        : "The address is too long to be printed "
                                + (order.what() == What.LABEL ? "on a label." : "in the window of an envelope."));
        return lines;
    }

    private String unprintable(String text, String where) {
        return paper.unprintable(text)
                .map(sign -> "“" + sign + "” in " + where + " cannot be printed here: no typeface has it.")
                .orElse("");
    }

    private static void refuse(String why) throws NotWritten {
        if (!why.isEmpty()) {
            throw new NotWritten(why);
        }
    }

    /** Why nothing is written to somebody. */
    private static final class NotWritten extends Exception {
        private static final long serialVersionUID = 1L;

        NotWritten(String words) {
            super(words, null, false, false);
        }

        String words() {
            return String.valueOf(getMessage());
        }
    }

    /** A letter that names the list needs a name that is for the people on it. */
    private void refuseUnlessNamed(LetterTemplate template, String set) {
        boolean names = (template.subject() + template.body()).contains("{{" + LetterField.LIST.inText());
        if (names && steps.nameForPeople(set).isBlank()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "list-not-named",
                    "This letter says what the list is called, and the list has no name for the people on it. Give it one"
                            + " under “How it is worked”, or leave {{list}} out of the letter. Nothing was written.");
        }
    }

    /** @param set the id of the list */
    LetterTemplate.Letter preview(LetterTemplate draft, Optional<Listed> person, String set, Population records) {
        refuseUnlessNamed(draft, set);
        return draft.filledIn(
                person.map(one -> LetterField.of(said(one, set, records))).orElseGet(LetterField::example));
    }

    private LetterField.Said said(Listed one, String set, Population records) {
        return new LetterField.Said(
                one,
                steps.nameForPeople(set),
                records,
                today.day(),
                letterheads.current().practice());
    }

    private static LetterTemplate inLanguage(List<LetterTemplate> languages, String wanted) {
        return Stream.of(wanted.toLowerCase(Locale.ROOT), ENGLISH)
                .flatMap(language ->
                        languages.stream().filter(one -> one.language().equals(language)))
                .findFirst()
                .orElse(languages.getFirst());
    }

    /** A day as readers of a language write it. */
    static String day(LocalDate day, String language) {
        return day.format(
                DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(Locale.forLanguageTag(language)));
    }

    /** The name, and the lines of the address; empty where there is none on record. */
    static List<String> address(Population records, Listed one) {
        String id = one.person().id();
        List<String> lines = Stream.concat(
                        PersonLine.field(records, id, "address").lines().map(String::strip),
                        Stream.of((PersonLine.field(records, id, "postcode") + " "
                                        + PersonLine.field(records, id, "city"))
                                .strip()))
                .filter(line -> !line.isEmpty())
                .toList();
        return PersonLine.field(records, id, "address").isEmpty()
                ? List.of()
                : Stream.concat(Stream.of(LetterField.fullName(records, one)), lines.stream())
                        .toList();
    }

    private static List<String> email(Population records, String id) throws NotWritten {
        String email = PersonLine.field(records, id, "email");
        refuse(email.isEmpty() ? "No e-mail address is on record." : "");
        return List.of(email);
    }
}
