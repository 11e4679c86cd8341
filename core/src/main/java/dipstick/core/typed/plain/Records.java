package dipstick.core.typed.plain;

import static dipstick.core.typed.plain.Rewrite.RECORD;

import java.util.List;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.stream.Stream;

/** Records, how many of them there are, which one is looked at, and one after another. */
final class Records {
    /** Before what is named, so far as it makes no difference. */
    private static final String ANY = "(?: (?:a|an|any|some|the|their|his|her))*";

    private static final String NAMED = "({N}(?: in {N})?)";
    private static final String END = "(?= [¦\uF500-\uF8FE]|$)";

    private static final String NOT = "(?:(?:has|have|had|is|are|was|were|did|do|does) )*"
            + "(?:not|never|hasn't|haven't|hadn't|wasn't|weren't|isn't|aren't|didn't|don't|doesn't)";

    private Records() {}

    static Stream<Rewrite> all(Names names) {
        return Stream.of(words(names), hadOrNot(), times(), sequences(), picks(), values(), counts(), places())
                .flatMap(List::stream);
    }

    /** What people say instead of naming the kind of record. */
    private static List<Rewrite> words(Names names) {
        String visit = names.kind("visit");
        String contact = names.kind("contact");
        String problem = names.kind("problem");
        String medication = names.kind("medication");
        String vaccination = names.kind("vaccination");
        return List.of(
                Rewrite.of("(?:(?:was|were|is|are|who) )*last (?:seen|visited|attended)", "¦ the latest " + visit),
                Rewrite.of(NOT + "(?: been)? contacted", "¦ no " + contact),
                Rewrite.of("(?:(?:has|have|was|were|been) )*contacted", "¦ " + contact),
                Rewrite.of(NOT + "(?: ever)?(?: been)? seen|unseen", "¦ no " + visit),
                Rewrite.of(
                        "(?:did not|didn't) (?:attend|come in)|" + NOT + " (?:attended|visited|come in)",
                        "¦ no " + visit),
                Rewrite.of("(?:(?:has|have|was|were|been|being|is|are|ever) )*seen", "¦ " + visit),
                Rewrite.of("(?:(?:has|have) )?(?:visited|attended)(?! {N})", "¦ " + visit),
                Rewrite.of(
                        NOT + "(?: been)? (?:vaccinated|immunised|immunized) (?:against|for|with) ({T})",
                        "¦ no " + vaccination + " in $1"),
                Rewrite.of(
                        "(?:(?:been|is|are|was|were) )*(?:vaccinated|immunised|immunized) (?:against|for|with) ({T})",
                        "¦ " + vaccination + " in $1"),
                Rewrite.of(
                        "(?:(?:been|is|are|was|were) )*(?:diagnosed with|with a diagnosis of|with a history of|suffering from)"
                                + " ({T})",
                        "¦ " + problem + " in $1"),
                Rewrite.of(
                        NOT + " (?:on|taking|prescribed) ({T})",
                        "¦ no active " + medication + " in $1",
                        "¦ no " + medication + " in $1"),
                Rewrite.of(
                        "(?:(?:is|are|who|currently) )*(?:on|taking|takes|prescribed|using) ({T})",
                        "¦ active " + medication + " in $1",
                        "¦ " + medication + " in $1"),
                Rewrite.of("({T}) ({K})", "$2 in $1"),
                Rewrite.of(
                        "({K}) (?:for|of|with|about|on|code|coded|coded as|against|to|called|named) ({T})",
                        "$1 in $2"));
    }

    private static List<Rewrite> hadOrNot() {
        return List.of(
                Rewrite.of("({N}(?: {W})?) (?:on record|on file|recorded)(?! (?:in|on|since))", "$1"),
                Rewrite.of(
                        "(?:without|lacking|lacks|lack|missing|with no|has no|have no|had no|having no|with none of)"
                                + ANY + "(?: (?:record|records|evidence|sign) of)?" + ANY + " " + RECORD,
                        "¦ no "),
                Rewrite.of(
                        "(?:no|without(?: a| any)?|lacking) (?:record|records|evidence|sign) of" + ANY + " " + RECORD,
                        "¦ no "),
                Rewrite.of(
                        "(?:(?:who|and|they|ever) )*" + NOT
                                + "(?: (?:had|have|has|got|received|been given|recorded|attended|done|a record of|ever|yet|been))*"
                                + ANY + " " + RECORD,
                        "¦ no "),
                Rewrite.of("no(?: (?:such|recorded|known|further|other|new))? " + RECORD, "¦ no "),
                Rewrite.of(
                        "(?:with|having|has had|have had|had|has|have|got|received|who had|been given|given|attended|been for|came for|seen for)"
                                + ANY + " " + RECORD,
                        "¦ "),
                Rewrite.of(
                        "(?:with|having|has had|have had|had|has|have)(?= {i} or more| at most {i}| exactly {i}| ¦)",
                        "¦ "));
    }

    /** One record after another of the same person. */
    private static List<Rewrite> sequences() {
        String expected = "((?:no )?{N}(?: in {N})?)";
        String after = "(?:of|after|following|from)";
        String latest = "(?: (?:a|the|their))* (?:latest|last|most recent)";
        String anchor = NAMED + "((?: {W})?)";
        return List.of(
                Rewrite.of(
                        expected + " within ({P}) " + after + latest + " " + anchor,
                        "⟦after the latest $3 $4 had $1 within $2⟧"),
                Rewrite.of(
                        expected + " within ({P}) " + after + "(?: the| their)? (?:first|earliest) " + anchor,
                        "⟦after the earliest $3 $4 had $1 within $2⟧"),
                Rewrite.of(
                        expected + " within ({P}) " + after + " any " + anchor, "⟦after any $3 $4 had $1 within $2⟧"),
                Rewrite.of(
                        expected + " within ({P}) " + after + " (?:each|every) " + anchor,
                        "⟦after each $3 $4 had $1 within $2⟧"),
                Rewrite.of(
                        expected + " within ({P}) " + after + ANY + " " + anchor,
                        "⟦after the latest $3 $4 had $1 within $2⟧",
                        "⟦after any $3 $4 had $1 within $2⟧"),
                Rewrite.of(
                        expected + " on or after" + latest + " " + anchor,
                        "⟦after the latest $2 $3 had $1 on or after it⟧"),
                Rewrite.of(
                        expected + " on or after" + ANY + " " + anchor,
                        "⟦after the latest $2 $3 had $1 on or after it⟧",
                        "⟦after any $2 $3 had $1 on or after it⟧"),
                Rewrite.of(
                        expected + " (?:after|since|following)" + latest + " " + anchor,
                        "⟦after the latest $2 $3 had $1 after it⟧"),
                Rewrite.of(
                        expected + " (?:after|since|following)" + ANY + " " + anchor,
                        "⟦after the latest $2 $3 had $1 after it⟧",
                        "⟦after any $2 $3 had $1 after it⟧"),
                Rewrite.of(NAMED + " on or before" + ANY + " " + NAMED, "⟦after any $1 had $2 on or after it⟧"),
                Rewrite.of(NAMED + " before" + ANY + " " + NAMED, "⟦after any $1 had $2 after it⟧"));
    }

    private static List<Rewrite> picks() {
        String before = "(?:(?:the|their|whose|with|a|an|had|has|have|is) )*";
        return List.of(
                Rewrite.of(
                        before + "(?:latest|most recent|newest|last|current)(?: recorded)? " + RECORD, "¦ the latest "),
                Rewrite.of(before + "(?:earliest|first ever|first|oldest)(?: recorded)? " + RECORD, "¦ the earliest "));
    }

    /** Bounds of a value stand in ⟬⟭, so that their numbers are not taken for ages. */
    private static List<Rewrite> values() {
        String value = "(?: (?:value|reading|level|result|score|measurement))*";
        String of = NAMED + value + "((?: {W})?)" + value
                + "(?: (?:is|was|of|at|has been|being|that is|which is|whose value is|whose|with a|a))*" + value
                + "(?: (?:is|was|of))*";
        String unit =
                "((?: (?!(?:and|or|but|who|with|without|not|at|on|in|whose|since|ago|to|times|years?|months?|weeks?|days?)(?: |$))"
                        + "[a-zµ%][a-zµ%0-9/^.*-]*)?)";
        return List.of(
                Rewrite.of(
                        of + " (?:between|from) ({n}) ?(?:and|to|-) ?({n})" + unit,
                        "$1 $2 ⟬at least $3 and at most $4$5⟭"),
                Rewrite.of(of + " (?:between |from )?({n})-({n})" + unit, "$1 $2 ⟬at least $3 and at most $4$5⟭"),
                Rewrite.of(
                        of + " ({n})(?: ?\\+| or (?:more|over|above|higher|greater)| and (?:over|above|more|higher))"
                                + unit,
                        "$1 $2 ⟬at least $3$4⟭"),
                Rewrite.of(of + " ({n}) (?:or|and) (?:less|fewer|under|below|lower)" + unit, "$1 $2 ⟬at most $3$4⟭"),
                Rewrite.of(
                        of + " (?:above|over|more than|greater than|higher than|exceeding|exceeds|>) ({n})" + unit,
                        "$1 $2 ⟬above $3$4⟭"),
                Rewrite.of(
                        of + " (?:below|under|less than|lower than|fewer than|<) ({n})" + unit, "$1 $2 ⟬below $3$4⟭"),
                Rewrite.of(
                        of + " (?:at least|not less than|no less than|>=|a minimum of) ({n})" + unit,
                        "$1 $2 ⟬at least $3$4⟭"),
                Rewrite.of(
                        of + " (?:at most|no more than|not more than|not above|not over|up to|<=) ({n})" + unit,
                        "$1 $2 ⟬at most $3$4⟭"),
                Rewrite.of(
                        "the (latest|earliest) " + NAMED + "((?: {W})?) ⟬([^⟭]*)⟭((?: {W})?)", "⟦the $1 $2$3$5 is $4⟧"),
                Rewrite.of(
                        "the (latest|earliest) " + NAMED + "((?: {W})?)" + value
                                + " (?:is|was|of|=|equals)(?: exactly)? ({n})" + unit,
                        "⟦the $1 $2$3 is one whose value is $4$5⟧"),
                // The window of a latest one says when that was, not among which it was the latest.
                Rewrite.by(
                        "the (latest|earliest) " + NAMED + "(?: (?:is|was|being|happened))? ⟪([^⟫]*)⟫" + END,
                        match -> "⟦the " + match.group(1) + " " + match.group(2) + " at any time is one whose date "
                                + on(match.group(3)) + "⟧"),
                Rewrite.of(NAMED + "((?: {W})?) ⟬([^⟭]*)⟭((?: {W})?)", "$1 whose value is ⟬$3⟭$2$4"));
    }

    /** A day that lies in a window, as a test of a date says it. */
    static String on(String window) {
        return (window.startsWith("from ") || window.startsWith("up to ") ? "is " : "falls ") + window;
    }

    private static List<Rewrite> times() {
        String how =
                "((?: (?:at least|more than|over|fewer than|less than|at most|exactly|only|just|no more than|not more than|up to))?)";
        return List.of(Rewrite.of(
                NAMED + "((?: {W})?)" + how + " ({i}) times?((?: or (?:more|less|fewer))?)((?: {W})?)",
                "$3 $4$5 $1$2$6"));
    }

    private static List<Rewrite> counts() {
        return List.of(
                counted(
                        "(?:at least|a minimum of|no fewer than|not less than|no less than|>=) ({i})",
                        match -> orMore(Amounts.number(match, 1))),
                counted("({i}) ?(?:\\+|plus|or more|and more)", match -> orMore(Amounts.number(match, 1))),
                counted(
                        "(?:no more than|not more than|at most|up to|a maximum of|<=) ({i})(?: or (?:less|fewer))?",
                        match -> "at most " + match.group(1)),
                counted("(?:more than|over|above|>) ({i})", match -> orMore(Amounts.number(match, 1) + 1)),
                counted(
                        "(?:fewer than|less than|under|below|<) ({i})",
                        match -> "at most " + (Amounts.number(match, 1) - 1)),
                counted("({i}) (?:or|and) (?:less|fewer)", match -> "at most " + match.group(1)),
                counted("(?:exactly|only|just|precisely) ({i})", match -> "exactly " + match.group(1)),
                counted("(?:a single|just a|only a|a sole)", _ -> "exactly 1"),
                counted("(?:more than one|multiple|repeated|several)", _ -> "2 or more"),
                Rewrite.of("(?:zero|0|nil|none) " + RECORD, "¦ no "),
                Rewrite.of(
                        "(?:between |from )?({i}) ?(?:to|and|-) ?({i}) ((?:active )?{N}[^¦\uF500-\uF8FE]*)",
                        "¦ ⟬$1 or more⟭ $3 ¦ ⟬at most $2⟭ $3 ¦"),
                Rewrite.either(
                        "(?<!at most |exactly )({i}) " + RECORD,
                        match -> "¦ ⟬" + orMore(Amounts.number(match, 1)) + "⟭ ",
                        match -> "¦ ⟬exactly " + match.group(1) + "⟭ "));
    }

    private static Rewrite counted(String said, Function<MatchResult, String> means) {
        return Rewrite.by(said + "(?: times)? " + RECORD, match -> "¦ ⟬" + means.apply(match) + "⟭ ");
    }

    private static String orMore(int least) {
        return least + " or more";
    }

    private static List<Rewrite> places() {
        return List.of(
                Rewrite.of(
                        "({N}(?: in {N})?(?: {W})?) (?:at|in|by|with|from|under) ({V})((?: {W})?)",
                        "$1$3 ¦ at $2",
                        "$1 whose @ $2$3"),
                // What is said of a record may come before or after its window.
                Rewrite.of(NAMED + " ({W}) whose ([^¦⟪\uF500-\uF8FE]+)", "$1 whose $3 $2"));
    }
}
