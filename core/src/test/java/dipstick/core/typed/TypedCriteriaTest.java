package dipstick.core.typed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.RecordFields;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class TypedCriteriaTest {
    private static final JsonNode DOCUMENT = json("""
            {'termSets': [{'id': 'hc', 'name': 'hearing check'}, {'id': 'bp', 'name': 'Blood pressure'},
                          {'id': 'asthma', 'name': 'asthma'}, {'id': 'flu', 'name': 'flu'},
                          {'id': 'in-care', 'name': 'in care'}],
             'rosters': [{'id': 'r', 'name': 'No letters, please'}],
             'dials': [{'name': 'every', 'type': 'period'}, {'name': 'sites', 'type': 'texts'},
                       {'name': 'least', 'type': 'number'}, {'name': 'unit', 'type': 'text'}]}""");
    private static final Vocabulary WORDS = Vocabulary.of(
            DOCUMENT,
            RecordFields.withCustom(
                    List.of(),
                    List.of(
                            new Field("room", FieldType.TEXT),
                            new Field("wait days", FieldType.NUMBER),
                            new Field("seen_by_phone", FieldType.FLAG))),
            List.of("fitting"),
            List.of(new Vocabulary.Named("set-1", "Asthma review due")));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "no hearing check in the last 12 months | {'events': {'terms': ['hc'], 'window': {'last': 'P12M'}}, 'count': {'none': true}}",
                "never had a hearing check | {'events': {'terms': ['hc']}, 'count': {'none': true}}",
                "HAD  a Hearing Check in the last year (23 Nov 2025 to 23 Nov 2026) | {'events': {'terms': ['hc'], 'window': {'last': 'P1Y'}}}",
                "aged 50 to 74 | {'age': {'from': 50, 'through': 74}}",
                "aged under 5 | {'age': {'through': 4}}",
                "aged between 6 and 23 months | {'age': {'from': 6, 'through': 23, 'unit': 'months'}}",
                "latest blood pressure above 150 | {'latest': {'terms': ['bp']}, 'is': [{'field': 'value', 'above': 150}]}",
                "the latest blood pressure in the last 2 years is above 150.5 mmHg"
                        + " | {'latest': {'terms': ['bp'], 'window': {'last': 'P2Y'}}, 'is': [{'field': 'value', 'above': 150.5, 'unit': 'mmHg'}]}",
                "active problem in asthma | {'events': {'kinds': ['problem'], 'terms': ['asthma'], 'active': true}}",
                "2 or more vaccinations in flu between age 2 and 5"
                        + " | {'events': {'kinds': ['vaccination'], 'terms': ['flu'], 'window': {'atAge': {'from': 2, 'through': 5}}}, 'count': {'atLeast': 2}}",
                "exactly 3 fitting records, on different days, since 1 Jan 2024"
                        + " | {'events': {'kinds': ['fitting'], 'window': {'dates': ['2024-01-01', null]}}, 'count': {'exactly': 3}, 'per': 'day'}",
                "visit in 2025 | {'events': {'kinds': ['visit'], 'window': {'dates': ['2025', '2025']}}}",
                "visit in “in care” in the last [every] | {'events': {'kinds': ['visit'], 'terms': ['in-care'], 'window': {'last': {'dial': 'every'}}}}",
                "site is [sites] | {'field': 'site', 'in': {'dial': 'sites'}}",
                "site is Mill Lane, Harbour Row or “Up on the hill” | {'field': 'site', 'in': ['Mill Lane', 'Harbour Row', 'Up on the hill']}",
                "status is not moved away | {'field': 'status', 'notIn': ['moved away']}",
                "do not contact is yes | {'field': 'do_not_contact', 'is': true}",
                "no visit recorded in the last 7 days"
                        + " | {'events': {'kinds': ['visit'], 'where': [{'field': 'recorded_on', 'window': {'last': 'P7D'}}]}, 'count': {'none': true}}",
                "hearing check recorded since 1 Mar 2026 in the last 2 years"
                        + " | {'events': {'terms': ['hc'], 'where': [{'field': 'recorded_on', 'window': {'dates': ['2026-03-01', null]}}], 'window': {'last': 'P2Y'}}}",
                "visit whose recording date is blank and room is 3"
                        + " | {'events': {'kinds': ['visit'], 'where': [{'field': 'recorded_on', 'missing': true}, {'field': 'room', 'in': ['3']}]}}",
                "visit whose “wait days” is at least 14 and seen by phone is yes"
                        + " | {'events': {'kinds': ['visit'], 'where': [{'field': 'wait days', 'atLeast': 14}, {'field': 'seen_by_phone', 'is': true}]}}",
                "phone is blank | {'field': 'phone', 'missing': true}",
                "birth date falls in the next 4 weeks | {'field': 'birth_date', 'window': {'next': 'P4W'}}",
                "birth date is from 1950 to Mar 1960 | {'field': 'birth_date', 'from': '1950', 'through': '1960-03'}",
                "had a result whose value is at least [least] and below 9 [unit] and text contains “said ””no”” so” ever"
                        + " | {'events': {'kinds': ['result'], 'where': [{'field': 'value', 'atLeast': {'dial': 'least'}, 'below': 9, 'unit': {'dial': 'unit'}},"
                        + " {'field': 'text', 'contains': 'said ”no” so'}], 'window': {'ever': true}}}",
                "after any visit had no contact within 7 days to 90 days"
                        + " | {'after': {'kinds': ['visit']}, 'pick': 'any', 'expect': {'kinds': ['contact']}, 'count': {'none': true}, 'notBefore': 'P7D', 'within': 'P90D'}",
                "on the list of Asthma review due | {'member': 'set-1'}",
                "has what they should by “Asthma review due” | {'member': 'set-1', 'part': 'has'}",
                "in the roster “No letters, please” | {'roster': 'r'}",
                "any of these (aged 5 or under; not so that (sex is female); all of these ())"
                        + " | {'any': [{'age': {'through': 5}}, {'not': {'field': 'sex', 'in': ['female']}}, {'all': []}]}",
                "visit 6 months or more ago (up to 23 May 2026) | {'events': {'kinds': ['visit'], 'window': {'ago': ['P150Y', 'P6M']}}}",
                "exactly 1 of these (phone is blank; email is blank) | {'all': ["
                        + "{'atLeast': 1, 'of': [{'field': 'phone', 'missing': true}, {'field': 'email', 'missing': true}]},"
                        + "{'not': {'atLeast': 2, 'of': [{'field': 'phone', 'missing': true}, {'field': 'email', 'missing': true}]}}]}",
                "after any visit had a contact on or after it"
                        + " | {'after': {'kinds': ['visit']}, 'pick': 'any', 'expect': {'kinds': ['contact']}, 'within': 'P150Y'}",
                "after the latest visit had no contact after it"
                        + " | {'after': {'kinds': ['visit']}, 'expect': {'kinds': ['contact']}, 'count': {'none': true}, 'notBefore': 'P1D', 'within': 'P150Y'}",
                "at least 2 of these (phone is blank; email is blank) | {'atLeast': 2, 'of': [{'field': 'phone', 'missing': true}, {'field': 'email', 'missing': true}]}",
            })
    void what_is_typed_is_the_test(String typed, String test) throws Mistake {
        assertThat(TypedCriteria.read(typed, WORDS)).isEqualTo(json(test));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "never met | {'overdue': 'never'}",
                "overdue never | {'overdue': 'never'}",
                "overdue by 6 months or more (due by 23 May 2026) | {'overdue': {'atLeast': 'P6M'}}",
                "Overdue by at least a year | {'overdue': {'atLeast': 'P1Y'}}",
                "overdue by [every] | {'overdue': {'atLeast': {'dial': 'every'}}}",
                "overdue | {'overdue': {'atLeast': 'P0D'}}",
                "everybody else | {'all': []}",
                "aged 75 or over | {'age': {'from': 75}}",
            })
    void what_is_typed_of_a_band_is_when_somebody_is_in_it(String typed, String when) throws Mistake {
        assertThat(TypedCriteria.readBand(typed, WORDS)).isEqualTo(json(when));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "at least 2 visits or fittings in 2025 | 21 | 29 | “fittings” does not fit here. What could stand here: a kind of record",
                "had a hearing chuck | 6 | 19 | No kind of record and no term set here is called “hearing chuck”.",
                "aged 50 too 74 | 8 | 11 | “too” does not fit here. What could stand here: “years”, “months”",
                "no visit in the last 12 moons | 24 | 29 | “moons” does not fit here. What could stand here: “days”, “months”",
                "no visit in the last | 20 | 20 | Something is missing at the end. What could stand here: a dial, a stretch of time such as 12 months",
                "site is on hold | 8 | 10 | “on” does not fit here. What could stand here: a value, a dial. A text with a word such as “on” in it stands between quotation marks.",
                "birth date is from 31 Feb 1950 to 1960 | 19 | 30 | There is no such day.",
                "visit in [site] | 9 | 15 | “[site]” does not fit here. What could stand here: a term set",
                "visit in the last [site] | 18 | 24 | There is no dial “site” in this set.",
                "visit in “Falls” | 9 | 16 | There is no term set “Falls” here.",
                "any of these (aged 5 or under | 29 | 29 | Something is missing at the end. What could stand here: “years”",
                "aged 5 or under) | 15 | 16 | “)” does not fit here. What could stand here: “years”",
            })
    void a_mistake_is_pointed_at(String typed, int from, int to, String said) {
        Mistake mistake = catchThrowableOfType(Mistake.class, () -> TypedCriteria.read(typed, WORDS));
        assertThat(mistake.said()).startsWith(said);
        assertThat(List.of(mistake.from(), mistake.to())).containsExactly(from, to);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "no hea | hearing check",
                "no hearing ch | hearing check",
                "HEAR | hearing check",
                "had 2 or more vis | visit",
                "aged 50 | to",
                "aged 50 t | to",
                "no visit i | in the last",
                "no visit in the last 6 | 6 months",
                "no visit in the last [e | [every]",
                "sta | status",
                "status | is not",
                "after e | after each",
                "the | the latest",
            })
    void what_may_come_next_is_offered(String typed, String offered) {
        assertThat(TypedCriteria.next(typed, WORDS)).extracting(Expected::words).contains(offered);
    }

    @Test
    void values_are_offered_by_their_field() {
        assertThat(TypedCriteria.next("site is Mill", WORDS))
                .contains(new Expected(8, "", Expected.What.PERSON_VALUE, "site", Expected.Within.ALL));
    }

    @Test
    void groups_deeper_than_anybody_writes_are_a_mistake() {
        String deep = "not so that (".repeat(5000);
        assertThat(catchThrowableOfType(Mistake.class, () -> TypedCriteria.read(deep, WORDS))
                        .said())
                .startsWith("Groups cannot stand in each other more than 200 deep.");
    }

    private static JsonNode json(String singleQuoted) {
        return JsonMapper.shared().readTree(singleQuoted.replace('\'', '"'));
    }
}
