package dipstick.core.doubts;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Population;
import java.util.List;
import org.junit.jupiter.api.Test;

class DoubtsTest {
    private static final Population RECORDS = Records.of("""
            id,birth_date,sex,status,frailty:number
            p1,1950-01-01,female,active,2
            p2,1960-01-01,female,active,5
            p3,2015-01-01,male,active,
            p4,1970-01-01,female,moved away,3
            """, """
            person_id,kind,code,on,value,unit
            p1,result,R1,2025-01-10,140,mmHg
            p2,result,R1,2026-10-01,18,kPa
            p4,visit,V1,2026-11-01,,
            """);

    private static final String TERMS = "'termSets': [{'id': 'r', 'name': 'Pressure', 'members': [{'code': 'R1'},"
            + " {'code': 'R9'}]}, {'id': 'none', 'name': 'Nowhere', 'members': [{'text': 'unheard of'}]}],";

    @Test
    void a_set_that_stands_gives_no_doubt() {
        assertThat(doubts("'include': [{'id': 'f', 'test': {'field': 'sex', 'in': ['female']}}]"))
                .isEmpty();
    }

    @Test
    void criteria_that_remove_nobody_or_everybody() {
        assertThat(doubts("'include': [{'id': 'all', 'test': {'field': 'sex', 'missing': false}},"
                        + " {'id': 'none', 'test': {'age': {'from': 120}}}]"))
                .containsExactly("all: It removes nobody.", "none: Nobody is left after it.");
        assertThat(doubts("'exclude': [{'id': 'x', 'test': {'field': 'sex', 'missing': true}}],"
                        + "'shouldHave': {'rule': 'any', 'of': ["
                        + "{'id': 'has', 'test': {'field': 'sex', 'missing': false}},"
                        + "{'id': 'lacks', 'test': {'field': 'sex', 'missing': true}}]}"))
                .containsExactly(
                        "x: It removes nobody.",
                        "has: Everybody eligible has it.",
                        "lacks: “Should have” names what should be on record. As it stands, 0 people are on the list for"
                                + " this: sex is on record. Of those who are not on it this is not so.",
                        "lacks: Nobody eligible has it.",
                        "lacks: It says the same as “sex is blank” in another section.");
        assertThat(doubts("'include': [{'id': 'off', 'off': true, 'test': {'age': {'from': 120}}}]"))
                .isEmpty();
    }

    @Test
    void what_should_be_on_record_and_says_a_lack_tells_who_is_listed_for_it() {
        String should = "'shouldHave': {'rule': 'any', 'of': [{'id': 'c1', 'test': %s}]}";
        assertThat(doubts(should.formatted("{'events': {'kinds': ['result']}, 'count': {'none': true}}")))
                .containsExactly("c1: “Should have” names what should be on record. As it stands, 2 people are on the"
                        + " list for this: had a result at any time (up to 23 Nov 2026). Of those who are not on it this"
                        + " is not so.");
        assertThat(doubts(should.formatted("{'not': {'events': {'kinds': ['visit']}}}")))
                .anyMatch(doubt -> doubt.contains("1 person is on the list for this: had a visit"));
        assertThat(doubts(should.formatted("{'events': {'kinds': ['result']}}")))
                .isEmpty();
    }

    @Test
    void where_no_criterion_stands_beside_a_doubt_says_of_which_it_is() {
        Evaluator evaluator = new Evaluator(RECORDS, Records.TODAY);
        CriteriaSet set =
                Records.set(RECORDS, "'include': [{'id': 'all', 'test': {'field': 'sex', 'missing': false}}]");
        assertThat(Doubts.messages(evaluator, evaluator.read(set)))
                .containsExactly("“sex is on record”: It removes nobody.");
    }

    @Test
    void a_level_of_which_too_much_cannot_be_told() {
        assertThat(doubts("'include': [{'id': 'frail', 'test': {'field': 'frailty', 'above': 4}},"
                        + "{'id': 'young', 'test': {'age': {'through': 70}}}]"))
                .as("said where it comes from, not at every level after it")
                .containsExactly("frail: Of 1 of 2 who may be left we can't tell.", "young: It removes nobody.");
    }

    @Test
    void term_sets_and_members_that_are_never_recorded() {
        assertThat(doubts(TERMS + "'include': [{'id': 'seen', 'test': {'events': {'terms': ['r']}}},"
                        + "{'id': 'odd', 'test': {'not': {'events': {'terms': ['none']}}}}]"))
                .containsExactly(
                        "seen: Never recorded, of the term set “Pressure”: code r9.",
                        "odd: It removes nobody.",
                        "odd: The term set “Nowhere” matches no record.");
    }

    @Test
    void windows_from_before_the_records_and_sequences_not_over() {
        assertThat(
                        doubts(
                                "'exclude': [{'id': 'w', 'test': {'events': {'kinds': ['result'], 'window': {'last': 'P2Y'}}}}]"))
                .containsExactly(
                        "w: The window begins on 23 Nov 2024, but the first result on record is of 10 Jan 2025.");
        assertThat(
                        doubts(
                                "'exclude': [{'id': 'w', 'test': {'events': {'kinds': ['visit'], 'window': {'next': 'P2Y'}}}}]"))
                .as("a window ahead does not reach back")
                .containsExactly("w: It removes nobody.");
        assertThat(doubts("'exclude': [{'id': 's', 'test': {'after': {'kinds': ['result'], 'window': {'last': 'P6M'}},"
                        + " 'expect': {}, 'within': 'P90D', 'count': {'none': true}}}]"))
                .containsExactly("s: After a record since 26 Aug 2026 the time of 90 days is not over yet.");
        assertThat(doubts("'include': [{'id': 's', 'test': {'after': {'kinds': ['result'], 'window':"
                        + " {'ago': ['P1Y', 'P4M']}}, 'expect': {}, 'within': 'P90D', 'count': {'none': true}}}]"))
                .noneMatch(doubt -> doubt.contains("not over"));
    }

    @Test
    void values_outside_the_records_and_in_different_units() {
        assertThat(doubts(TERMS.replace(", {'code': 'R9'}", "").replace(" {'code': 'R9'}", "{'code': 'R1'}")
                        + "'exclude': [{'id': 'v', 'test': {'latest': {'terms': ['r']}, 'is':"
                        + " [{'field': 'value', 'above': 200}]}}]"))
                .contains("v: The highest value on record is 140.", "v: The values are in different units: mmHg, kPa.");
        assertThat(doubts("'exclude': [{'id': 'v', 'test': {'field': 'frailty', 'below': 1}},"
                        + "{'id': 't', 'test': {'field': 'status', 'in': ['gone', 'Moved  away']}}]"))
                .contains("v: The lowest frailty on record is 2.", "t: “gone” is nowhere on record as status.")
                .noneMatch(doubt -> doubt.contains("“Moved"));
    }

    @Test
    void criteria_that_repeat_or_contradict_each_other() {
        String female = "{'field': 'sex', 'in': ['female']}";
        assertThat(doubts("'include': [{'id': 'a', 'test': " + female + "}], 'exclude': [{'id': 'b', 'test': " + female
                        + "}]"))
                .contains("b: It says the same as “sex is female” in another section.");
        assertThat(doubts("'include': [{'id': 'a', 'test': " + female + "}, {'id': 'b', 'test': {'not': " + female
                        + "}}]"))
                .contains("b: It says the opposite of “sex is female”.");
        assertThat(doubts("'include': [{'id': 'a', 'test': " + female
                        + "}, {'id': 'b', 'test': {'age': {'through': 20}}}]"))
                .contains("b: Nobody meets both this and “sex is female”.");
    }

    private static List<String> doubts(String parts) {
        CriteriaSet set = Records.set(RECORDS, parts);
        Evaluator evaluator = new Evaluator(RECORDS, Records.TODAY);
        return Doubts.of(evaluator, evaluator.read(set)).stream()
                .map(doubt -> doubt.criterion() + ": " + doubt.message())
                .toList();
    }
}
