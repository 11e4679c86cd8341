package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.TermSet;
import dipstick.core.criteria.Test;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.PeopleByDay;
import dipstick.core.population.PeopleByValue;
import dipstick.core.population.Population;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Answers tests and criteria sets over one population as of one day. Keeps the answers of tests, so that asking again
 * after an edit computes what changed. Safe for use by several threads.
 */
public final class Evaluator {
    private final Seen seen;
    private final int people;
    private final AnswerCache answers;
    private final Once<BitSet> deceased = new Once<>(this::findDeceased);

    public Evaluator(Population population, LocalDate asOf) {
        this(population, asOf, KeptAnswers.inThisMemory());
    }

    /** @param kept room for its answers, which others may share */
    public Evaluator(Population population, LocalDate asOf, KeptAnswers kept) {
        this(population, asOf, new AnswerCache(kept));
    }

    private Evaluator(Population population, LocalDate asOf, AnswerCache answers) {
        this.answers = answers;
        this.seen = Seen.from(population, asOf);
        this.people = population.size();
    }

    /**
     * Makes evaluators of one population ready to read a set as of their days, in fewer passes over the records than each of
     * them would take. They can do without; it only takes longer.
     */
    public static void readAhead(CriteriaSet set, List<Evaluator> days) {
        for (int from = 0; from < days.size(); from += DayAnswers.MOST_DAYS) {
            new ReadAhead(days.subList(from, Math.min(days.size(), from + DayAnswers.MOST_DAYS))).of(set);
        }
    }

    /**
     * An evaluator as of the same day after some people were read anew, for whom alone it asks again what was asked here.
     *
     * @param everybody {@linkplain Population#with with} them
     */
    public Evaluator over(Population everybody, ReadAnew some) {
        return new Evaluator(everybody, asOf(), answers.after(new Evaluator(some.people(), asOf()), some.numbers()));
    }

    /** Makes room for the answers of others, where nobody will ask this one any more. */
    public void forget() {
        answers.forget();
    }

    Seen seen() {
        return seen;
    }

    boolean knows(Test test) {
        return answers.known(test).isPresent();
    }

    void keep(Test test, Answer answer) {
        answers.keep(test, answer);
    }

    /** Everybody's answer to a test (criteria.md section 3). */
    public Answer answer(Test test) {
        Patience.here().check();
        return switch (test) {
            case Test.All all -> all.of().stream().map(this::answer).reduce(Answer.everybody(people), Answer::and);
            case Test.Any any -> any.of().stream().map(this::answer).reduce(Answer.nobody(), Answer::or);
            case Test.Not not -> answer(not.of()).not(people);
            case Test.AtLeast some ->
                Answer.atLeast(
                        some.count(), some.of().stream().map(this::answer).toList(), people);
            case Test.OfField field -> answers.get(field, () -> ofPeople(FieldMatcher.ofPeople(field.test(), seen)));
            case Test.Age age -> answers.get(age, () -> ofAge(age));
            case Test.Events events ->
                answers.get(
                        events,
                        () -> Counting.ofEverybody(
                                new EventMatcher(events.events(), seen), events.count(), events.per(), seen));
            case Test.Pick pick -> answers.get(pick, () -> Picking.ofEverybody(pick, seen));
            case Test.Sequence sequence -> answers.get(sequence, () -> new Following(sequence, seen).ofEverybody());
            case Test.Member member -> answers.get(member, () -> ofMember(member));
            case Test.InRoster roster -> answers.get(roster, () -> RosterMatcher.ofEverybody(roster.roster(), seen));
        };
    }

    /** The whole answer of a criteria set (criteria.md section 4). */
    public Reading read(CriteriaSet set) {
        BitSet inside = population(set);
        List<Level> levels = new ArrayList<>();
        Answer eligible = eligible(set, inside, levels);
        Optional<ShouldHave> shouldHave = set.shouldHaveInForce();
        Answer has = shouldHave.map(should -> has(should, inside, levels)).orElse(Answer.nobody());
        Answer list = shouldHave.isPresent() ? eligible.and(has.not(people)) : eligible;
        return new Reading(
                set,
                seen.asOf(),
                seen.population(),
                inside,
                people - inside.cardinality(),
                levels,
                eligible,
                has,
                list);
    }

    /** Who would be on the list without a criterion, and is not on it because of that one alone. */
    public BitSet keptOffOnlyBy(Criterion criterion, Reading reading) {
        return read(reading.set().without(criterion)).onListAndNotAt(reading);
    }

    /** Everybody on the list or to check, with due dates and bands, in the order of their numbers. */
    public List<ListMember> members(Reading reading) {
        return new ListMembers(this, reading.set()).of(reading.list());
    }

    /** Those of some people who are on the list or to check. */
    public List<ListMember> members(Reading reading, BitSet some) {
        return new ListMembers(this, reading.set()).of(reading.list().within(some));
    }

    /** When what should be on record lapses, for somebody who is or may be eligible. */
    public Due dueOf(CriteriaSet set, int person) {
        return set.shouldHaveInForce()
                .flatMap(should -> DueDates.of(should, seen))
                .map(dates -> DueDates.due(dates.of(person)))
                .orElse(new Due.None());
    }

    /** When what should be on record lapses, for some who are or may be eligible, in the order of their numbers. */
    public List<Due> duesOf(CriteriaSet set, BitSet who) {
        Optional<int[]> days = set.shouldHaveInForce()
                .flatMap(should -> DueDates.of(should, seen))
                .map(dates -> dates.of(who));
        return who.stream()
                .mapToObj(person -> days.map(each -> DueDates.due(each[person])).orElse(new Due.None()))
                .toList();
    }

    /** What a criterion finds among the records of some, at the places of their numbers. */
    public Found[] found(Test.Events test, BitSet who) {
        return new Finding(test, seen).of(who);
    }

    /** Everybody on record. */
    public Population population() {
        return seen.population();
    }

    public LocalDate asOf() {
        return seen.asOf();
    }

    /** The concepts that the kinds and term sets of a selection mean. */
    public int[] conceptsOf(Selection selection) {
        Selection named = selection.where(List.of()).within(new Window.AnyDay());
        return new EventMatcher(named, seen).concepts();
    }

    /** Whether any event on record has this name. */
    public boolean isRecorded(TermSet.Member member) {
        Events events = seen.population().events();
        TermMatcher matcher = new TermMatcher(Stream.of(member), events);
        return !matcher.isEmpty()
                && IntStream.range(0, events.concepts().count()).anyMatch(matcher::matches);
    }

    /** The events of a person that are, or may be, in a selection. */
    public List<EventMatch> matching(int person, Selection selection) {
        return listed(new EventMatcher(selection, seen).ofPerson(person));
    }

    /** The events of a person that are, or may be, the one that a test picks. */
    public List<EventMatch> picked(int person, Test.Pick pick) {
        Matches matches = new EventMatcher(pick.events(), seen).ofPerson(person);
        Candidates candidates = new Candidates(pick.end(), seen);
        int limit = candidates.limit(matches);
        return listed(matches).stream()
                .filter(match -> candidates.mayBe(match.event(), limit))
                .toList();
    }

    private List<EventMatch> listed(Matches matches) {
        List<EventMatch> listed = new ArrayList<>();
        for (int i = 0; i < matches.size(); i++) {
            int event = matches.event(i);
            listed.add(new EventMatch(event, matches.outcome(i), dayOf(event)));
        }
        return listed;
    }

    /** The days of an event as seen from the as-of date; nothing where it is undated. */
    public Optional<DateRange> dayOf(int event) {
        return seen.dates().isDated(event)
                ? Optional.of(
                        new DateRange(seen.dates().first(event), seen.dates().last(event)))
                : Optional.empty();
    }

    private BitSet population(CriteriaSet set) {
        BitSet inside = Answer.range(people);
        if (set.population() == CriteriaSet.Population.LIVING) {
            inside.andNot(deceased.get());
        }
        return inside;
    }

    private BitSet findDeceased() {
        BitSet deceased = ofPeople(withStatusDeceased()).yes();
        Column.OfDate on = seen.population().deceasedOn();
        PeopleByDay byDay = seen.population().byDay(on);
        deceased.or(byDay.on(DateRange.upTo(seen.today())));
        for (int person : byDay.partial()) {
            if (on.days().first(on.codes().get(person)) <= seen.today()) {
                deceased.set(person);
            }
        }
        return deceased;
    }

    private FieldMatcher.ByCode withStatusDeceased() {
        Column.OfText status = seen.population().status();
        byte[] ofStatus = new byte[status.codeCount()];
        for (int code = 1; code < ofStatus.length; code++) {
            ofStatus[code] =
                    Outcome.of(status.compared().get(code).equals("deceased")).rank();
        }
        return new FieldMatcher.ByCode(status.codes(), ofStatus);
    }

    private Answer eligible(CriteriaSet set, BitSet inside, List<Level> levels) {
        Answer left = new Answer((BitSet) inside.clone(), new BitSet());
        for (Criterion criterion : set.include()) {
            if (!criterion.off()) {
                Answer alone = answer(criterion.test()).within(inside);
                left = left.and(settled(criterion, alone));
                levels.add(new Level(Level.Section.INCLUDE, criterion, alone, Optional.of(left)));
            }
        }
        for (Criterion criterion : set.exclude()) {
            if (!criterion.off()) {
                Answer alone = answer(criterion.test()).within(inside);
                left = left.and(settled(criterion, alone).not(people));
                levels.add(new Level(Level.Section.EXCLUDE, criterion, alone, Optional.of(left)));
            }
        }
        return left;
    }

    private Answer has(ShouldHave shouldHave, BitSet inside, List<Level> levels) {
        List<Answer> each = new ArrayList<>();
        for (Criterion criterion : shouldHave.of()) {
            if (!criterion.off()) {
                Answer alone = answer(criterion.test()).within(inside);
                each.add(settled(criterion, alone));
                levels.add(new Level(Level.Section.SHOULD_HAVE, criterion, alone, Optional.empty()));
            }
        }
        Answer has = switch (shouldHave.rule()) {
            case ShouldHave.Rule.Any any -> each.stream().reduce(Answer.nobody(), Answer::or);
            case ShouldHave.Rule.All all -> each.stream().reduce(Answer.everybody(people), Answer::and);
            case ShouldHave.Rule.AtLeast(int count) -> Answer.atLeast(count, each, people);
        };
        return has.within(inside);
    }

    /** The answer with what {@code unsure} makes of can't tell. */
    private static Answer settled(Criterion criterion, Answer answer) {
        return switch (criterion.unsure()) {
            case ASK -> answer;
            case MEETS -> answer.unsureMeets();
            case FAILS -> answer.unsureFails();
        };
    }

    private Answer ofAge(Test.Age age) {
        Column.OfDate birth = seen.population().birthDate();
        DateRange births = age.ages()
                .birthsOn(Math.toIntExact(age.on().seenFrom(seen.asOf()).toEpochDay()));
        PeopleByDay byDay = seen.population().byDay(birth);
        BitSet yes = byDay.on(births);
        BitSet unsure = byDay.missing();
        for (int person : byDay.partial()) {
            Outcome outcome = birth.days().get(birth.codes().get(person)).liesIn(births);
            yes.set(person, outcome == Outcome.YES);
            unsure.set(person, outcome == Outcome.UNSURE);
        }
        return new Answer(yes, unsure);
    }

    private Answer ofPeople(FieldMatcher matcher) {
        if (matcher instanceof FieldMatcher.ByCode(Codes codes, byte[] ranks)) {
            Optional<PeopleByValue> byValue = seen.population().byValue(codes, ranks.length);
            if (byValue.isPresent()) {
                return new Answer(
                        byValue.get().where(code -> ranks[code] == Outcome.YES.rank()),
                        byValue.get().where(code -> ranks[code] == Outcome.UNSURE.rank()));
            }
        }
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            byte[] ranks = new byte[(range.size() + 7) & ~7];
            matcher.rank(ranks, range.first(), range.size());
            answer.setAll(range.first(), ranks, range.size());
        });
        return answer.seal();
    }

    private Answer ofMember(Test.Member member) {
        Reading reading = read(member.set());
        return switch (member.part()) {
            case LIST -> reading.list();
            case ELIGIBLE -> reading.eligible();
            case HAS -> reading.has();
        };
    }
}
