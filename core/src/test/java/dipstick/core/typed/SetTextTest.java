package dipstick.core.typed;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.population.Population;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class SetTextTest {
    private static final Population RECORDS =
            Records.of("id,site,Frailty score:number,birth date:date,had,date:date\n", "person_id,kind\n");

    private static final ObjectNode SET = json("""
            {'format': 'dipstick-criteria/1', 'id': 'hearing', 'name': 'Hearing check due',
             'purpose': 'Aid wearers are checked every year.\\nAsk at the desk.', 'population': 'everyone',
             'dials': [{'name': 'every', 'label': 'Check every', 'type': 'period', 'default': 'P12M', 'choices': ['P6M', 'P12M']},
                       {'name': 'a ] b', 'type': 'texts', 'default': ['Mill Lane', 'up “on” it'], 'choicesFrom': 'birth date'},
                       {'name': 'n', 'type': 'number', 'default': 2.5, 'choices': [1, 2.5]},
                       {'name': 'count', 'type': 'number', 'default': 2}, {'name': 'day', 'type': 'date', 'default': '2026-05'},
                       {'name': 'full', 'type': 'date', 'default': '2026-05-04'},
                       {'name': 'word', 'type': 'text', 'default': 'in the last'}],
             'termSets': [{'id': 'hc', 'name': 'Hearing check', 'members': [{'code': 'HC1', 'system': 'local'}, {'text': {'dial': 'word'}}]},
                          {'id': 'visit', 'name': 'visit', 'members': [{'keyword': 'x, y'}]},
                          {'id': 'flu', 'name': 'Flu', 'members': []}, {'id': 'flu-2', 'name': 'flu', 'members': []}],
             'rosters': [{'id': 'r', 'name': 'No “letters”', 'key': ['had', 'birth date'], 'rows': [['a, b', null], ['', '1950']]}],
             'include': [
               {'id': 'a', 'label': 'Who: “he” is', 'test': {'field': 'Frailty score', 'above': {'dial': 'n'}, 'atMost': 9}},
               {'id': 'b', 'off': true, 'test': {'any': [
                  {'field': 'birth date', 'from': {'dial': 'day'}}, {'field': 'birth_date', 'through': {'dial': 'day'}},
                  {'field': 'date', 'in': ['2024', {'dial': 'day'}]}, {'field': 'had', 'notIn': ['had', 'no. 1', {'dial': 'word'}]},
                  {'field': 'site', 'in': {'dial': 'a ] b'}}, {'field': 'site', 'startsWith': {'dial': 'word'}},
                  {'field': 'had', 'in': []}, {'field': 'had', 'notIn': []}, {'roster': 'r'}]}},
               {'id': 'c', 'unsure': 'fails', 'test': {'age': {'from': {'dial': 'count'}, 'through': 74, 'on': {'dial': 'full'}}}}],
             'exclude': [
               {'id': 'd', 'test': {'events': {'kinds': ['visit', 'Lab “x”', 'In care'], 'terms': ['visit', 'flu-2'],
                  'window': {'ago': ['P2Y', {'dial': 'every'}]}}, 'count': {'exactly': {'dial': 'count'}}, 'per': 'code'}},
               {'id': 'e', 'test': {'events': {'kinds': [], 'terms': [], 'window': {'dates': [{'dial': 'day'}, null]}}, 'count': {'atMost': 3}}},
               {'id': 'f', 'test': {'atLeast': {'dial': 'count'}, 'of': [{'events': {'kinds': {'dial': 'a ] b'}}, 'count': {'atLeast': {'dial': 'count'}}}]}},
               {'id': 'g', 'test': {'after': {'terms': ['hc', 'flu']}, 'expect': {'kinds': [{'dial': 'word'}], 'window': {'atAge': {'through': {'dial': 'count'}}}},
                  'notBefore': {'dial': 'every'}, 'within': 'P2Y3M', 'pick': 'each'}}],
             'shouldHave': {'rule': {'atLeast': {'dial': 'count'}}, 'of': [
               {'id': 'h', 'unsure': 'meets', 'test': {'latest': {'terms': ['hc'], 'window': {'last': {'dial': 'every'}}},
                  'is': [{'field': 'value', 'in': [{'dial': 'n'}, 3], 'unit': {'dial': 'word'}}, {'field': 'id', 'in': ['E 1']}, {'field': 'person_id', 'missing': true}]}}]},
             'bands': [{'name': 'Never', 'when': {'overdue': 'never'}}, {'name': 'Late', 'when': {'overdue': {'atLeast': {'dial': 'every'}}}},
                       {'name': 'Old', 'when': {'age': {'from': 80}}},
                       {'name': 'Late by 6 months', 'when': {'overdue': {'atLeast': 'P6M'}}}, {'name': 'Others', 'when': {'all': []}}],
             'show': ['phone', 'due_on', 'Frailty score', {'criterion': 'd', 'column': 'count'}, {'criterion': 'e', 'column': 'value'}],
             'order': [{'by': 'band'}, {'by': {'criterion': 'd', 'column': 'daysSince'}, 'descending': true}, {'by': 'birth date', 'descending': true}],
             'top': {'dial': 'count'}}""");

    @Test
    void the_text_of_a_set_reads_back_as_the_set() {
        String text = print(SET);
        SetTextReader.Result back = read(text, SET);
        assertThat(back.mistakes()).as(text).extracting(Mistake::said).isEmpty();
        ObjectNode again = back.document().orElseThrow();
        assertThat(set(again)).as(text).isEqualTo(set(SET));
        assertThat(print(again)).isEqualTo(text);
        // The dials stand where they stood, so that turning them still turns the set.
        assertThat(again.findValues("dial")).hasSameSizeAs(SET.findValues("dial"));
    }

    @Test
    void a_text_written_by_hand_becomes_a_set() {
        ObjectNode made = read("""
                        Shingles due

                        Include
                        - aged 70 to 79
                        - any of these (
                            phone is on record;
                            email is on record
                          )

                        Should have any of these
                        - vaccination in Shingles vaccine ever

                        Term set Shingles vaccine
                          code SV1
                          text starting with shingles
                        """, json("{'format': 'dipstick-criteria/1', 'id': 'new', 'name': 'New'}"))
                .document()
                .orElseThrow();
        assertThat(made).isEqualTo(json("""
                {'format': 'dipstick-criteria/1', 'id': 'new', 'name': 'Shingles due',
                 'termSets': [{'id': 'shingles-vaccine', 'name': 'Shingles vaccine',
                               'members': [{'code': 'SV1'}, {'text': 'shingles', 'match': 'startsWith'}]}],
                 'include': [{'id': 'criterion', 'test': {'age': {'from': 70, 'through': 79}}},
                             {'id': 'criterion-2', 'test': {'any': [{'field': 'phone', 'missing': false}, {'field': 'email', 'missing': false}]}}],
                 'shouldHave': {'rule': 'any', 'of': [{'id': 'criterion-3', 'test': {'events':
                    {'kinds': ['vaccination'], 'terms': ['shingles-vaccine'], 'window': {'ever': true}}}}]}}"""));
    }

    @Test
    void what_is_named_but_not_given_is_taken_from_the_set_that_stands_there() {
        ObjectNode current = json("""
                {'id': 'x', 'termSets': [{'id': 'hc', 'name': 'Hearing check', 'members': [{'code': 'H'}]}, {'id': 'o', 'members': []}],
                 'include': [{'id': 'adults', 'test': {'age': {'from': 18}}}]}""");
        ObjectNode made = read("Other\n\nInclude\n- a hearing check\n- aged 18 or over\n", current)
                .document()
                .orElseThrow();
        assertThat(made.at("/termSets/0/members/0/code").stringValue()).isEqualTo("H");
        assertThat(made.get("termSets")).hasSize(1);
        assertThat(made.at("/include/1/id").stringValue()).isEqualTo("adults");
    }

    @Test
    void every_mistake_is_told_with_its_spot() {
        String text =
                "Set\n\nInclude\n- aged fifty\n- aged 50 to 60\n- a helicopter\n\nNonsense\n\nTerm set A\n  kode 1\n";
        List<Mistake> mistakes = read(text, json("{'id': 'x'}")).mistakes();
        assertThat(mistakes)
                .extracting(mistake -> text.substring(mistake.from(), mistake.to()))
                .containsExactlyInAnyOrder("fifty", "helicopter", "Nonsense", "kode");
    }

    private static String print(ObjectNode document) {
        return SetText.of(document, set(document), vocabulary(document).sharedNames());
    }

    private static SetTextReader.Result read(String text, ObjectNode current) {
        return SetTextReader.read(text, current, document -> vocabulary((ObjectNode) document));
    }

    private static Vocabulary vocabulary(ObjectNode document) {
        return Vocabulary.of(document, RECORDS.fields(), List.of(), List.of());
    }

    private static CriteriaSet set(ObjectNode document) {
        return Records.sets(RECORDS, List.of(document));
    }

    private static ObjectNode json(String singleQuoted) {
        return (ObjectNode) JsonMapper.shared().readTree(singleQuoted.replace('\'', '"'));
    }
}
