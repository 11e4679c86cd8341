package dipstick.core.wording;

import static dipstick.core.Records.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.Test;
import dipstick.core.population.Population;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SentencePrinterTest {
    private static final Population NOBODY =
            Records.of("id,frailty:number,seen:date,wears_aid:flag\n", "person_id,kind\n");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "{'age': {'from': 50, 'through': 74}} | aged 50 to 74",
                "{'age': {'from': 18, 'unit': 'months', 'on': 'endOfYear'}} | aged 18 months or over at the end of the year (31 Dec 2026)",
                "{'field': 'sex', 'in': ['female', 'Other']} | sex is Other or female",
                "{'field': 'site', 'notIn': ['Mill Lane']} | site is not Mill Lane",
                "{'field': 'frailty', 'above': 2.5, 'atMost': 6} | frailty is above 2.5 and at most 6",
                "{'field': 'seen', 'from': '2026-01', 'through': '2026-06'} | seen is from 1 Jan 2026 to 30 Jun 2026",
                "{'field': 'wears_aid', 'is': true} | wears aid is yes",
                "{'field': 'birth_date', 'missing': true} | birth date is blank",
                "{'events': {'terms': ['hc'], 'window': {'last': 'P12M'}}, 'count': {'none': true}}"
                        + " | had no hearing check in the last 12 months (23 Nov 2025 to 23 Nov 2026)",
                "{'events': {'kinds': ['vaccination'], 'terms': ['hc'], 'window': {'atAge': {'from': 2, 'through': 5}}}, 'count': {'atLeast': 2}}"
                        + " | had 2 or more vaccinations in hearing check at age 2 to 5",
                "{'events': {'kinds': ['problem'], 'active': true}} | had an active problem at any time (up to 23 Nov 2026)",
                "{'events': {'where': [{'field': 'value', 'above': 150, 'unit': 'mmHg'}], 'window': {'any': true}}}"
                        + " | had a record whose value is above 150 mmHg at any time, past or ahead",
                "{'events': {'window': {'ago': ['P1Y6M', 'P1W']}}}"
                        + " | had a record between 1 year 6 months and 1 week ago (23 May 2025 to 16 Nov 2026)",
                "{'any': [{'age': {'from': 1}}, {'not': {'age': {'through': 2}}}]}"
                        + " | any of these (aged 1 or over; not so that (aged 2 or under))",
                "{'latest': {'kinds': ['result']}, 'is': [{'field': 'value', 'above': 150}]}"
                        + " | the latest result at any time (up to 23 Nov 2026) is one whose value is above 150",
                "{'after': {'terms': ['hc']}, 'expect': {'kinds': ['contact']}, 'within': 'P90D', 'pick': 'any'}"
                        + " | after any hearing check at any time (up to 23 Nov 2026) had a contact within 90 days",
            })
    void a_test_reads_as_a_sentence(String test, String sentence) {
        assertThat(new SentencePrinter(TODAY).print(read(test)).text()).isEqualTo(sentence);
    }

    @org.junit.jupiter.api.Test
    void every_slot_points_at_what_it_changes() {
        Sentence sentence = new SentencePrinter(TODAY)
                .print(read("{'all': [{'events': {'window': {'last': 'P1Y'}}}, {'age': {'from': 3}}]}"));
        List<String> slots = new ArrayList<>();
        collect(sentence, slots);
        assertThat(slots)
                .containsExactly(
                        "GROUP ", "COUNT /all/0", "SELECTION /all/0/events", "WINDOW /all/0/events", "AGE /all/1/age");
    }

    private static void collect(Sentence sentence, List<String> slots) {
        sentence.phrases()
                .forEach(phrase -> phrase.slot().ifPresent(slot -> slots.add(slot.control() + " " + slot.pointer())));
        sentence.parts().forEach(part -> collect(part, slots));
    }

    private static Test read(String test) {
        return Records.set(NOBODY, """
                'termSets': [{'id': 'hc', 'name': 'hearing check', 'members': [{'code': 'HC1'}]}],
                'include': [{'id': 'a', 'test':""" + test + "}]").include().getFirst().test();
    }
}
