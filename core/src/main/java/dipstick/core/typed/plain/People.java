package dipstick.core.typed.plain;

import java.util.List;
import java.util.stream.Stream;

/** Ages and fields of people. */
final class People {
    /** Behind “over” and “under” alone, years may be of something else than age. */
    private static final String YEARS_OLD = "(?: ?years? (?:old|of age))?";

    private static final String YEARS = "(?: ?years?(?: old| of age)?| yo| y)?";

    private static final String AGED =
            "(?:(?:aged?|ages|the age of|age is|age of|ages of|who are|is|are|between the ages of|of) )*";

    private People() {}

    /** In the order in which they are tried, which is their meaning. */
    static Stream<Rewrite> all(Names names) {
        return Stream.of(dates(names), fields(), ages(), words(names)).flatMap(List::stream);
    }

    /** Before anything is taken for a contact that was had. */
    static Stream<Rewrite> manners(Names names) {
        String contact = names.field("do_not_contact", '\uF300');
        return Stream.of(
                Rewrite.of(
                        "(?:(?:who|is|are|be|asked|want|wants|wish|wishes) )*(?:not to be contacted|no contact wanted)|do not contact(?! is)",
                        "⟦" + contact + " is yes⟧"),
                Rewrite.of(
                        "(?:who )?(?:may|can) be contacted|not " + contact + "(?! is)|contactable",
                        "⟦" + contact + " is no⟧"));
    }

    private static List<Rewrite> dates(Names names) {
        String born = names.field("birth_date", '\uF200');
        String died = names.field("deceased_on", '\uF200');
        return List.of(
                Rewrite.of("(?:who )?(?:(?:is|are|was|were) )*born(?= ⟪)", born),
                Rewrite.of("(?:who )?(?:(?:has|have) )?(?:died|deceased)(?= ⟪)", died),
                Rewrite.of("({FD})(?: (?:is|was|=|:|on))* ({D})", "⟦$1 is $2⟧"),
                Rewrite.by(
                        "({FD})(?: (?:is|was|were|are|falls|lies|date|on))* ⟪([^⟫]*)⟫",
                        match -> "⟦" + match.group(1) + " " + Records.on(match.group(2)) + "⟧"));
    }

    private static List<Rewrite> fields() {
        return Stream.of(
                        values(),
                        blanks(),
                        texts(),
                        flags(),
                        numbers(),
                        List.of(Rewrite.of("nobody's|nobody 's", "⟦provider is blank⟧")))
                .flatMap(List::stream)
                .toList();
    }

    private static List<Rewrite> values() {
        String is = "(?: (?:is|are|was|=|:|equals|equal to|is one of|is either|is in|one of|in))*";
        String isNot =
                " (?:is not|isn't|are not|aren't|not|other than|is other than|is anything but|!=|<>|is neither|not in|is not one of)";
        String several = "((?:{V}|{Q})(?:(?: or| ,| and| /| nor)+ (?:{V}|{Q}))*)";
        return List.of(
                Rewrite.by(
                        "not ({FT})" + is + " " + several,
                        match -> "⟦" + match.group(1) + " is not " + list(match.group(2)) + "⟧"),
                Rewrite.by(
                        "({FT})" + isNot + " " + several,
                        match -> "⟦" + match.group(1) + " is not " + list(match.group(2)) + "⟧"),
                Rewrite.by(
                        "({FT})" + is + " " + several,
                        match -> "⟦" + match.group(1) + " is " + list(match.group(2)) + "⟧"));
    }

    private static List<Rewrite> blanks() {
        String blank =
                "(?:blank|empty|missing|unknown|not known|not recorded|not on record|not given|not on file|null|absent)";
        String known = "(?:known|recorded|on record|on file|given|present|not blank|not empty|filled in|there)";
        return List.of(
                Rewrite.of(
                        "(?:neither|no|without|with no)(?: an?)? ({F}) n?or(?: an?)? ({F})",
                        "⟦$1 is blank⟧ and ⟦$2 is blank⟧"),
                Rewrite.of("({F}) (?:is |are )?" + blank, "⟦$1 is blank⟧"),
                Rewrite.of("({F}) (?:is |are )?" + known, "⟦$1 is on record⟧"),
                Rewrite.of(
                        "(?:no|without|lacking|missing|has no|have no|with no|had no|not having|blank|unknown)(?: (?:a|an|any))? ({F})(?: number| address)?(?! is)",
                        "⟦$1 is blank⟧"),
                Rewrite.of(
                        "(?:with|has|have|having)(?: (?:a|an|any))? ({F})(?: number| address)?(?= [¦\uF500-\uF8FE]| and| or| but| ,|$)",
                        "⟦$1 is on record⟧"));
    }

    private static List<Rewrite> texts() {
        return List.of(
                Rewrite.of(
                        "({FT}) (?:starts|begins|starting|beginning) with (.+?)(?= [¦\uF500-\uF8FE]| and| or|$)",
                        "⟦$1 starts with $2⟧"),
                Rewrite.of(
                        "({FT}) (?:contains|containing|includes|including) (.+?)(?= [¦\uF500-\uF8FE]| and| or|$)",
                        "⟦$1 contains $2⟧"));
    }

    private static List<Rewrite> flags() {
        return List.of(
                Rewrite.of("({FF}) (?:is |are |= )?(?:true|yes|1|y)", "⟦$1 is yes⟧"),
                Rewrite.of("({FF}) (?:is |are |= )?(?:false|no|0|n|not yes)", "⟦$1 is no⟧"),
                Rewrite.of("(?:no|not|without|doesn't|does not|don't|do not) ({FF})(?! is)", "⟦$1 is no⟧"),
                Rewrite.of("(?:who )?({FF})", "⟦$1 is yes⟧"));
    }

    private static List<Rewrite> numbers() {
        return List.of(
                Rewrite.of(
                        "({FN})(?: (?:is|was|of|score))* (?:between|from) ({n}) ?(?:and|to) ?({n})",
                        "⟦$1 is at least $2 and at most $3⟧"),
                Rewrite.of("({FN})(?: (?:is|was|of|score))* ({n})-({n})", "⟦$1 is at least $2 and at most $3⟧"),
                Rewrite.of(
                        "({FN})(?: (?:is|was|of|score))* ({n})(?: ?\\+| or (?:more|over|above|higher|greater)| and (?:over|above))",
                        "⟦$1 is at least $2⟧"),
                Rewrite.of(
                        "({FN})(?: (?:is|was|of|score))* ({n}) (?:or|and) (?:less|fewer|under|below|lower)",
                        "⟦$1 is at most $2⟧"),
                Rewrite.of(
                        "({FN})(?: (?:is|was|of|score))* (?:above|over|more than|greater than|higher than|>) ({n})",
                        "⟦$1 is above $2⟧"),
                Rewrite.of(
                        "({FN})(?: (?:is|was|of|score))* (?:below|under|less than|lower than|<) ({n})",
                        "⟦$1 is below $2⟧"),
                Rewrite.of(
                        "({FN})(?: (?:is|was|of|score))* (?:at least|>=|not less than) ({n})", "⟦$1 is at least $2⟧"),
                Rewrite.of(
                        "({FN})(?: (?:is|was|of|score))* (?:at most|<=|no more than|not more than|up to) ({n})",
                        "⟦$1 is at most $2⟧"),
                Rewrite.of("({FN})(?: (?:is|was|of|score|=|exactly))* ({n})", "⟦$1 is $2⟧"));
    }

    private static String list(String values) {
        return values.replaceAll("(?: or| ,| and| /| nor)+ ", " or ");
    }

    private static List<Rewrite> ages() {
        return Stream.of(fromTo(), atLeastOrAtMost(), overOrUnder(), exactly())
                .flatMap(List::stream)
                .toList();
    }

    private static List<Rewrite> fromTo() {
        return List.of(
                Rewrite.of("(over|under|above|below) the age of", "aged $1"),
                Rewrite.by(
                        "in (?:their|his|her) ([2-9])0s",
                        match -> "⟦aged " + match.group(1) + "0 to " + match.group(1) + "9⟧"),
                Rewrite.by(
                        AGED + "(?:under|below|younger than) ({i}) (months|weeks|days)(?: old)?",
                        match -> "⟦aged " + (Amounts.number(match, 1) - 1) + " " + match.group(2) + " or under⟧"),
                Rewrite.of(
                        AGED + "(?:between |from )?({i}) ?(?:-|to|and|through) ?({i})"
                                + "[ -]?years?[- ](?:olds?|of age)",
                        "⟦aged $1 to $2⟧"),
                Rewrite.of(
                        "(?:(?:who are|is|are) )*(?:aged?|ages|between the ages of|age is|age of)(?: between| from)? ({i})(?: ?- ?| to | and | through )({i})"
                                + YEARS,
                        "⟦aged $1 to $2⟧"),
                Rewrite.of(
                        "(?:aged?|ages)(?: between| from)? ({i})(?: ?- ?| to | and )({i}) (months|weeks|days)(?: old)?",
                        "⟦aged $1 to $2 $3⟧"),
                Rewrite.of(
                        "(?:aged? )?(?:between |from )?({i})(?: ?- ?| to | and )({i}) (months|weeks|days) old",
                        "⟦aged $1 to $2 $3⟧"),
                Rewrite.of(
                        "(?:turning|turns|turn|will turn|will be|who turn) ({i}) ⟪since the start of the year⟫",
                        "⟦aged $1 to $1 at the end of the year⟧"));
    }

    private static List<Rewrite> atLeastOrAtMost() {
        return List.of(
                Rewrite.of("(?:aged?|age is)? ?>= ?({i})" + YEARS, "⟦aged $1 or over⟧"),
                Rewrite.of("(?:aged?|age is)? ?<= ?({i})" + YEARS, "⟦aged $1 or under⟧"),
                Rewrite.by("(?:aged?|age is) > ({i})" + YEARS, match -> over(Amounts.number(match, 1) + 1)),
                Rewrite.by("(?:aged?|age is) < ({i})" + YEARS, match -> under(Amounts.number(match, 1))),
                Rewrite.of(
                        AGED + "(?:at least |not under |not younger than |a minimum of )({i})" + YEARS_OLD,
                        "⟦aged $1 or over⟧"),
                Rewrite.of(
                        AGED + "({i})s?" + YEARS + "(?: ?\\+| plus| (?:and|or) (?:over|older|above|up|upwards))"
                                + YEARS,
                        "⟦aged $1 or over⟧"),
                Rewrite.of(AGED + "({i})\\+" + YEARS, "⟦aged $1 or over⟧"),
                Rewrite.of(AGED + "({i})s?" + YEARS + " (?:and|or) (?:under|younger|below)", "⟦aged $1 or under⟧"),
                Rewrite.of(
                        AGED + "(?:at most |no older than |not over |not older than |up to )({i})" + YEARS_OLD,
                        "⟦aged $1 or under⟧"));
    }

    /** Which people mean with the age itself, and without it. */
    private static List<Rewrite> overOrUnder() {
        return List.of(
                Rewrite.either(
                        AGED + "(?:the )?(?:over|above|more than)[ -]({i})(?:'?s)?" + YEARS_OLD,
                        match -> over(Amounts.number(match, 1)),
                        match -> over(Amounts.number(match, 1) + 1)),
                Rewrite.either(
                        AGED + "(?:the )?older than ({i})(?:'?s)?" + YEARS,
                        match -> over(Amounts.number(match, 1)),
                        match -> over(Amounts.number(match, 1) + 1)),
                Rewrite.by(
                        AGED + "(?:the )?(?:under|below|less than)[ -]({i})(?:'?s)?" + YEARS_OLD,
                        match -> under(Amounts.number(match, 1))),
                Rewrite.by(
                        AGED + "(?:the )?younger than ({i})(?:'?s)?" + YEARS,
                        match -> under(Amounts.number(match, 1))));
    }

    private static List<Rewrite> exactly() {
        return List.of(
                Rewrite.of(
                        "(?:(?:who are|is|are) )*(?:aged?|age is|age =)(?: exactly)? ({i})" + YEARS
                                + "(?= [¦\uF500-\uF8FE]| and| or(?! (?:over|under|older|younger|above|below|more|less))| but| ,| with|$)",
                        "⟦aged $1 to $1⟧"),
                Rewrite.of(
                        "(?:(?:who are|is|are) )*({i}) years? (?:old|of age)|({i})[- ]year[- ]olds?",
                        "⟦aged $1$2 to $1$2⟧"),
                Rewrite.of("adults?", "⟦aged 18 or over⟧"),
                Rewrite.of("children|kids|minors", "⟦aged 17 or under⟧"),
                Rewrite.of("teenagers|teens", "⟦aged 13 to 19⟧"));
    }

    private static String over(int years) {
        return "⟦aged " + years + " or over⟧";
    }

    private static String under(int years) {
        return "⟦aged " + (years - 1) + " or under⟧";
    }

    private static List<Rewrite> words(Names names) {
        String sex = names.field("sex", '\uF000');
        String women = names.valueOf("sex", List.of("female", "f", "woman", "w"));
        String men = names.valueOf("sex", List.of("male", "m", "man"));
        String womenWords = "(?:women|woman|females?|ladies|lady|girls?)";
        String menWords = "(?:men|man|males?|gentlemen|boys?)";
        return List.of(
                Rewrite.of("(?:not|except|excluding) " + womenWords, "⟦" + sex + " is not " + women + "⟧"),
                Rewrite.of("(?:not|except|excluding) " + menWords, "⟦" + sex + " is not " + men + "⟧"),
                Rewrite.of(womenWords, "⟦" + sex + " is " + women + "⟧"),
                Rewrite.of(menWords, "⟦" + sex + " is " + men + "⟧"),
                Rewrite.of(
                        "(?:also )?(?:on|in) (?:the )?(?:list|recall list)(?: of| for)? ({Q})", "⟦on the list of $1⟧"),
                Rewrite.of(
                        "(?:(?:not|except|excluding|other than|non|outside|apart from)(?: (?:at|in|from|with|of|registered at|registered with|seen by))?) ({V}(?:(?: or| ,| and| /| nor)+ {V})*)",
                        "⟦not $1⟧"),
                Rewrite.of(
                        "(?:(?:living|live|lives|registered|based|patients|people|who|speaking|speak|speaks|is|are|of|their) )*(?:at|in|from|of|with|by|under|for|speaking|speaks|speak|is|are|status) ({V}(?:(?: or| ,| and| /)+ {V})*)",
                        "⟦$1⟧"),
                Rewrite.of("(?:except|excluding|apart from|but not)(?: for)?(?= [\uF500-\uF8FE])", "not"),
                Rewrite.of("({V}) 's(?: (?:patients|people|list))?", "⟦$1⟧"));
    }
}
