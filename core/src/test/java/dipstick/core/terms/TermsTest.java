package dipstick.core.terms;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.TermSet;
import dipstick.core.criteria.TermSet.Match;
import dipstick.core.criteria.TermSet.Member;
import dipstick.core.population.Events;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class TermsTest {
    private static final Events EVENTS = Records.of("id\np1\np2\n", """
                    person_id,kind,code,system,text,keywords,on,source
                    p1,visit,HC1,local,Hearing check,audiogram; ear,2024-05,mill
                    p1,visit,HC1,local,Hearing check yearly,,2025-01-01,mill
                    p2,result,hc1,harbour,,Audiogram,,
                    p1,result,KF1,lab,Renal panel,,2020,lab
                    p2,document,,,HEARING  check,,2026-02-03,harbour
                    p2,document,,,Hearing aid check,,2026-03-04,harbour
                    p2,document,,,Hearing aid broken at home,,2026-03-04,harbour
                    p2,document,,,Clinic letter,audiogram,2026-03-04,harbour
                    p2,document,,,Clinic letter,spine,2026-03-04,harbour
                    """).events();

    @Test
    void finds_codes_by_their_wording_and_counts_every_spelling_together() {
        assertThat(Terms.find(EVENTS, "hearing check"))
                .extracting(one ->
                        one.term().sort() + " " + one.says() + " " + one.term().system() + " " + one.records())
                .containsExactlyInAnyOrder(
                        "TEXT Hearing check  2", "TEXT Hearing check yearly  1", "CODE Hearing check local 2");
    }

    @Test
    void finds_codes_keywords_and_everything() {
        assertThat(Terms.find(EVENTS, "HC"))
                .extracting(one -> one.term().system() + " " + one.records())
                .containsExactlyInAnyOrder("local 2", "harbour 1");
        assertThat(Terms.find(EVENTS, "audio")).extracting(FoundTerm::records).containsExactly(3);
        assertThat(Terms.find(EVENTS, "")).hasSize(12);
        assertThat(Terms.find(EVENTS, "nothing of the kind")).isEmpty();
    }

    @Test
    void a_further_code_is_a_term_and_says_in_how_many_records_it_is_no_more() {
        Events events = Records.of("id\np1\n", """
                person_id,kind,code,system,text,also_coded
                p1,visit,HC1,local,Hearing check,
                p1,visit,XX,old,Ears,hc1|LOCAL; KF9
                p1,visit,HC1,local,Hearing check,HC1|local
                """).events();
        assertThat(Terms.find(events, "hc1"))
                .extracting(one ->
                        one.term().term() + " of " + one.term().system() + ": " + one.records() + ", " + one.besides())
                .containsExactly("HC1 of local: 3, 1");
        assertThat(Terms.find(events, "kf9"))
                .extracting(one -> one.term().term() + ": " + one.records() + ", " + one.besides())
                .containsExactly("KF9: 1, 1");
    }

    @Test
    void says_who_has_it_where_it_comes_from_and_when() {
        assertThat(Terms.find(EVENTS, "hearing check"))
                .filteredOn(one -> one.term().equals(new Term(Term.Sort.TEXT, "Hearing check", "")))
                .containsExactly(new FoundTerm(
                        new Term(Term.Sort.TEXT, "Hearing check", ""),
                        "Hearing check",
                        2,
                        2,
                        0,
                        List.of("document", "visit"),
                        List.of("harbour", "mill"),
                        Optional.of(LocalDate.of(2024, 5, 1)),
                        Optional.of(LocalDate.of(2026, 2, 3))));
        assertThat(Terms.find(EVENTS, "ear").stream().filter(one -> one.says().equals("ear")))
                .extracting(FoundTerm::last)
                .containsExactly(Optional.of(LocalDate.of(2024, 5, 31)));
    }

    @Test
    void offers_the_codes_of_a_term_set_in_systems_that_it_does_not_name() {
        TermSet set = new TermSet("hc", "hearing check", List.of(new Member.Code(Optional.of("local"), "hc1")));
        assertThat(Terms.resembling(EVENTS, set, List.of()))
                .extracting(FoundTerm::term)
                .contains(new Term(Term.Sort.CODE, "HC1", "harbour"));
    }

    @Test
    void offers_wordings_like_those_of_a_term_set_but_not_all_that_are_worded_like_what_has_its_keyword() {
        TermSet set = new TermSet(
                "hc",
                "hearing check",
                List.of(
                        new Member.Code(Optional.of("local"), "hc1"),
                        new Member.Text("hearing check", Match.IS),
                        new Member.Keyword("audiogram")));
        assertThat(Terms.resembling(EVENTS, set, List.of()))
                .extracting(one -> one.term().term() + " " + one.term().system())
                .containsExactly("Hearing aid check ");
        assertThat(Terms.resembling(EVENTS, set, List.of(new Member.Text("hearing aid check", Match.IS))))
                .isEmpty();
    }

    @Test
    void codes_and_wordings_that_no_term_set_means_are_told_with_how_many_there_are() {
        TermSet hearing = new TermSet(
                "hc",
                "hearing check",
                List.of(new Member.Code(Optional.of("local"), "hc1"), new Member.Text("hearing", Match.STARTS_WITH)));
        Terms.Outside outside = Terms.outside(EVENTS, List.of(hearing));
        assertThat(outside.total()).isEqualTo(3);
        assertThat(outside.first())
                .extracting(one -> one.term().sort() + " " + one.term().term() + " " + one.records())
                .containsExactly("TEXT Clinic letter 2", "CODE HC1 1", "CODE KF1 1");
        assertThat(Terms.outside(EVENTS, List.of()).total()).isEqualTo(7);
    }

    @Test
    void a_term_is_the_member_of_a_term_set_that_means_just_it() {
        assertThat(new Term(Term.Sort.CODE, "HC1", "local").member())
                .hasToString("{\"code\":\"HC1\",\"system\":\"local\"}");
        assertThat(new Term(Term.Sort.CODE, "HC1", "").member()).hasToString("{\"code\":\"HC1\"}");
        assertThat(new Term(Term.Sort.TEXT, "Clinic letter", "").member()).hasToString("{\"text\":\"Clinic letter\"}");
        assertThat(new Term(Term.Sort.KEYWORD, "ear", "").member()).hasToString("{\"keyword\":\"ear\"}");
    }

    @Test
    void what_was_only_planned_or_tried_has_not_happened() {
        Events events = Records.of("id\np1\n", """
                person_id,kind,text
                p1,appointment,Hearing check
                p1,Contact,Hearing check
                p1,appointment,Ear check
                p1,visit,Ear check
                """).events();
        assertThat(Terms.find(events, "check"))
                .extracting(one -> one.says() + " " + one.happened())
                .containsExactlyInAnyOrder("Hearing check false", "Ear check true");
    }

    @Test
    void words_of_two_letters_and_words_with_figures_tell_nothing_of_what_is_meant() {
        KnownWordings known = new KnownWordings();
        known.add(new Member.Text("hearing aid of type B2 no 1234567", Match.IS));
        assertThat(known.resembles(new Term(Term.Sort.TEXT, "Hearing aid", ""))).isTrue();
        assertThat(known.resembles(new Term(Term.Sort.TEXT, "of no B2 1234567", "")))
                .isFalse();
        // Two words of four in both, which is half; two of five are less.
        assertThat(known.resembles(new Term(Term.Sort.TEXT, "Hearing aid broken", "")))
                .isTrue();
        assertThat(known.resembles(new Term(Term.Sort.TEXT, "Hearing aid broken today", "")))
                .isFalse();
        known.add(new Member.Keyword("audiogram"));
        assertThat(known.resembles(new Term(Term.Sort.TEXT, "Audiogram", ""))).isTrue();
    }
}
