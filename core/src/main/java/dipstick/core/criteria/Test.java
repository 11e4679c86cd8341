package dipstick.core.criteria;

import dipstick.core.time.AgeSpan;
import dipstick.core.time.CalendarPeriod;
import java.time.LocalDate;
import java.util.List;

/**
 * A test of one person, whose answer is yes, no or can't tell (criteria.md section 3). Tests hold everything that
 * they name (term sets, rosters, other sets), so that equal tests have equal answers over the same records.
 */
public sealed interface Test {
    /** Every one of them; yes where there is none. */
    record All(List<Test> of) implements Test {
        public All {
            of = List.copyOf(of);
        }
    }

    /** At least one of them; no where there is none. */
    record Any(List<Test> of) implements Test {
        public Any {
            of = List.copyOf(of);
        }
    }

    record Not(Test of) implements Test {}

    record AtLeast(int count, List<Test> of) implements Test {
        public AtLeast {
            of = List.copyOf(of);
        }
    }

    /** A test of a field of the person. */
    record OfField(FieldTest test) implements Test {}

    /** The completed age on a day. */
    record Age(AgeSpan ages, AgeDay on) implements Test {}

    /** How many of the person's events are in a selection. */
    record Events(Selection events, Count count, Per per) implements Test {}

    /** The latest or earliest event of a selection, and what should hold of it. */
    record Pick(End end, Selection events, List<FieldTest> is) implements Test {
        public Pick {
            is = List.copyOf(is);
        }
    }

    /** Whether an event of one selection was followed by events of another in time. */
    record Sequence(
            Selection anchor,
            Anchor pick,
            Selection expect,
            CalendarPeriod notBefore,
            CalendarPeriod within,
            Count count,
            Per per)
            implements Test {}

    /** Whether the person is in a part of another set. */
    record Member(CriteriaSet set, Part part) implements Test {}

    /** Whether the person is in a roster. */
    record InRoster(Roster roster) implements Test {}

    /** What is counted. */
    enum Per {
        RECORD,
        DAY,
        CODE
    }

    enum End {
        LATEST,
        EARLIEST
    }

    /** Which of the anchor events are followed up. */
    enum Anchor {
        LATEST,
        EARLIEST,
        ANY,
        EACH
    }

    /** The parts of a criteria set's answer. */
    enum Part {
        LIST,
        ELIGIBLE,
        HAS
    }

    /** The day on which an age is looked at. */
    sealed interface AgeDay {
        record AsOf() implements AgeDay {}

        record StartOfYear() implements AgeDay {}

        record EndOfYear() implements AgeDay {}

        record On(LocalDate day) implements AgeDay {}

        default LocalDate seenFrom(LocalDate asOf) {
            return switch (this) {
                case AsOf today -> asOf;
                case StartOfYear start -> asOf.withDayOfYear(1);
                case EndOfYear end -> LocalDate.of(asOf.getYear(), 12, 31);
                case On on -> on.day();
            };
        }
    }
}
