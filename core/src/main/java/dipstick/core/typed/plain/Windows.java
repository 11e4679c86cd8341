package dipstick.core.typed.plain;

import static dipstick.core.typed.plain.Dates.calendar;
import static dipstick.core.typed.plain.Dates.window;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Windows relative to the as-of date, as people say them; each becomes one in ⟪⟫. */
final class Windows {
    private static final String OVER = "(?:in |within |over |during |for |throughout |of |from |at )?(?:the )?";

    private Windows() {}

    /** In the order in which they are tried, which is their meaning. */
    static List<Rewrite> all(Optional<LocalDate> asOf, boolean ahead) {
        return Stream.of(
                        ago(),
                        lastAndNext(),
                        sinceTheStart(),
                        inOrThis(ahead),
                        asOf.map(Windows::ofTheCalendar).orElse(List.of()))
                .flatMap(List::stream)
                .toList();
    }

    private static List<Rewrite> ago() {
        return List.of(
                Rewrite.of("({FD}) for (?:more than|over|longer than) ({P})", "$1 more than $2 ago"),
                Rewrite.of("({FD}) for (?:less than|under|up to|at most) ({P})", "$1 ⟪in the last $2⟫"),
                Rewrite.of("({FD}) for(?: at least)? ({P})", "$1 ⟪$2 or more ago⟫"),
                Rewrite.by(
                        "(?:in )?the ((?:19|20)\\d)0s",
                        match -> window("from " + match.group(1) + "0-01-01 to " + match.group(1) + "9-12-31")),
                Rewrite.by(
                        "(?:more than|over|longer than|greater than|>) ({P}) ago",
                        match -> window(Amounts.oneDayMore(match.group(1)) + " or more ago")),
                Rewrite.of("(?:at least|not less than|no less than) ({P}) ago", "⟪$1 or more ago⟫"),
                Rewrite.of("({P}) (?:or more|or longer|and more|plus) ago", "⟪$1 or more ago⟫"),
                Rewrite.of("({P}) ago or (?:more|earlier|longer|before)", "⟪$1 or more ago⟫"),
                Rewrite.of(
                        "(?:less than|fewer than|within|no more than|not more than|at most|up to) ({P}) ago",
                        "⟪in the last $1⟫"),
                Rewrite.of("({P}) (?:or less|or fewer) ago", "⟪in the last $1⟫"),
                Rewrite.of("({P}) ago or (?:less|later)", "⟪in the last $1⟫"),
                Rewrite.by("(?:between |from )?({i}) ?(?:and|to|-) ?({i}) {U} ago", match -> {
                    int one = Amounts.number(match, 1);
                    int other = Amounts.number(match, 2);
                    String unit = " " + match.group(3);
                    return window(
                            "between " + Math.max(one, other) + unit + " and " + Math.min(one, other) + unit + " ago");
                }),
                Rewrite.by("between ({P}) and ({P}) ago", match -> {
                    boolean inOrder = Amounts.about(match.group(1)) >= Amounts.about(match.group(2));
                    return window("between " + match.group(inOrder ? 1 : 2) + " and " + match.group(inOrder ? 2 : 1)
                            + " ago");
                }));
    }

    private static List<Rewrite> lastAndNext() {
        return List.of(
                Rewrite.of(OVER + "(?:last|past|previous|preceding) ({P})", "⟪in the last $1⟫"),
                Rewrite.of(OVER + "(?:next|coming|following) ({P})", "⟪in the next $1⟫"),
                Rewrite.of(
                        "(?:in|within|over|during|for|throughout) the (?:last|past|previous|preceding) (year|month|week|day)",
                        "⟪in the last 1 $1⟫"),
                Rewrite.of("(?:the )?past (year|month|week|day)", "⟪in the last 1 $1⟫"),
                Rewrite.of(
                        "(?:in|within|over|during) the (?:next|coming|following) (year|month|week|day)",
                        "⟪in the next 1 $1⟫"),
                Rewrite.of("(?:the )?coming (year|month|week)", "⟪in the next 1 $1⟫"),
                Rewrite.of(
                        "((?:no|not|never|without|unseen|\\S+n't)(?: \\S+)*?) (?:for|in) (?:more than |over |longer than |at least |the )?({P})",
                        "$1 ⟪in the last $2⟫"));
    }

    private static List<Rewrite> sinceTheStart() {
        return List.of(
                Rewrite.of("(?:so far )?today(?: so far)?|since midnight|so far today", "⟪in the last 0 days⟫"),
                Rewrite.of("yesterday", "⟪between 1 day and 1 day ago⟫"),
                Rewrite.of(
                        "(?:so far this|this) (year|month|week|quarter) (?:so far|to date)|so far this (year|month|week|quarter)",
                        "⟪since the start of the $1$2⟫"),
                Rewrite.of("(year|month|week|quarter) to date", "⟪since the start of the $1⟫"),
                Rewrite.of(
                        "since the (?:start|beginning) of (?:the|this) (year|month|week|quarter)",
                        "⟪since the start of the $1⟫"),
                Rewrite.of("ever|at any time|at some time|at any point|at all", "⟪at any time⟫"));
    }

    /** @param ahead whether they may be meant of what is to come */
    private static List<Rewrite> inOrThis(boolean ahead) {
        return List.of(
                Rewrite.of("(?:ahead|upcoming|coming up)(?= ⟪in the next)", ""),
                Rewrite.of("({P}) ago", "⟪$1 or more ago⟫", "⟪in the last $1⟫"),
                // What lies ahead may be meant of an appointment.
                ahead
                        ? Rewrite.of(
                                "(?:in|within|during) ({P})(?! (?:of|after|following|from|since))",
                                "⟪in the last $1⟫",
                                "⟪in the next $1⟫")
                        : Rewrite.of(
                                "(?:in|within|during) ({P})(?! (?:of|after|following|from|since))", "⟪in the last $1⟫"),
                ahead
                        ? Rewrite.of(
                                "(?:in |during )?this (year|month|week)",
                                "⟪since the start of the $1⟫",
                                "⟪in the next 1 $1⟫")
                        : Rewrite.of("(?:in |during )?this (year|month|week|quarter)", "⟪since the start of the $1⟫"));
    }

    private static List<Rewrite> ofTheCalendar(LocalDate day) {
        return List.of(
                Rewrite.either(
                        "(?:in |during )?last (year|month|week)",
                        match -> window("in the last 1 " + match.group(1)),
                        match -> window(Dates.words(calendar(match.group(1), day, -1)))),
                Rewrite.by("(?:in |during )?last quarter", _ -> window(Dates.words(calendar("quarter", day, -1)))),
                Rewrite.by(
                        "(?:in |during )?(?:the )?(?:last|previous) calendar (year|month|week|quarter)",
                        match -> window(Dates.words(calendar(match.group(1), day, -1)))),
                Rewrite.either(
                        "(?:in |during )?next (year|month|week)",
                        match -> window("in the next 1 " + match.group(1)),
                        match -> window(Dates.words(calendar(match.group(1), day, 1)))));
    }
}
