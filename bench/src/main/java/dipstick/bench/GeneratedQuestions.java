package dipstick.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Questions that nobody chose: made from a seed, of one to eight criteria, as of one day or of many. */
final class GeneratedQuestions {
    private static final int MOST_CRITERIA = 8;

    /** One of so many has a roster, and one of so many asks as of many days. */
    private static final int ROSTER_EVERY = 6;

    private static final int MANY_DAYS_EVERY = 8;

    /** One of so many has bands. */
    private static final int BANDS_EVERY = 5;

    private static final int MOST_BANDS = 4;
    private static final int MOST_DAYS = 120;

    private GeneratedQuestions() {}

    static List<Question> of(long seed, int count) {
        SplittableRandom random = new SplittableRandom(seed);
        return IntStream.range(0, count)
                .mapToObj(number -> one(number, random.split()))
                .toList();
    }

    private static Question one(int number, SplittableRandom random) {
        boolean manyDays = number % MANY_DAYS_EVERY == MANY_DAYS_EVERY - 1;
        Parts parts = new Parts(random);
        int criteria = 1 + random.nextInt(manyDays ? 3 : MOST_CRITERIA);
        List<Part> include = new ArrayList<>();
        List<Part> exclude = new ArrayList<>();
        List<Part> shouldHave = new ArrayList<>();
        if (number % ROSTER_EVERY == ROSTER_EVERY - 1) {
            (random.nextBoolean() ? include : exclude).add(parts.roster());
        }
        for (int i = include.size() + exclude.size(); i < criteria; i++) {
            int section = random.nextInt(3);
            Part part =
                    section == 0 && random.nextBoolean() ? parts.ofPeople() : manyDays ? parts.any() : parts.ofEvents();
            (section == 0 ? include : section == 1 ? exclude : shouldHave).add(part);
        }
        boolean all = random.nextBoolean();
        List<Part> bands = !manyDays && number % BANDS_EVERY == BANDS_EVERY - 1
                ? IntStream.range(0, 1 + random.nextInt(MOST_BANDS))
                        .mapToObj(_ -> parts.ofPeople())
                        .toList()
                : List.of();
        String document = parts.named() + "'include': [" + listed("i", include) + "], 'exclude': ["
                + listed("e", exclude) + "]"
                + (shouldHave.isEmpty()
                        ? ""
                        : ", 'shouldHave': {'rule': '" + (all ? "all" : "any") + "', 'of': [" + listed("s", shouldHave)
                                + "]}")
                + (bands.isEmpty() ? "" : ", 'bands': [" + named(bands) + "]");
        List<LocalDate> days = IntStream.range(0, manyDays ? 2 + random.nextInt(MOST_DAYS - 1) : 1)
                .mapToObj(month -> Region.AS_OF.minusDays(30L * month))
                .toList();
        return new Question(
                "q" + number + " (" + (include.size() + exclude.size() + shouldHave.size()) + " criteria"
                        + (manyDays ? ", " + days.size() + " days" : "") + ")",
                document,
                day -> banded(sql(include, exclude, shouldHave, all, day), bands, day),
                days,
                parts.tables(),
                manyDays ? Optional.of(ofDays(include, exclude, shouldHave, all, days)) : Optional.empty());
    }

    private static String named(List<Part> bands) {
        return IntStream.range(0, bands.size())
                .mapToObj(i -> "{'name': 'b" + i + "', 'when': " + bands.get(i).test() + "}")
                .collect(Collectors.joining(", "));
    }

    /** With the first band whose condition somebody meets. */
    private static String banded(String sql, List<Part> bands, LocalDate day) {
        return bands.isEmpty()
                ? sql
                : sql.replaceFirst(
                        "SELECT p.id",
                        IntStream.range(0, bands.size())
                                .mapToObj(i -> " WHEN " + bands.get(i).sql().apply(day) + " THEN 'b" + i + "'")
                                .collect(Collectors.joining("", "SELECT p.id, CASE", " ELSE '' END AS band")));
    }

    private static String ofDays(
            List<Part> include, List<Part> exclude, List<Part> shouldHave, boolean all, List<LocalDate> days) {
        ManyDays many = new ManyDays(days);
        Function<Part, String> met = part -> part.ofDays().orElseThrow().apply(many);
        return many.counts("p.status <> 'deceased' AND p.deceased_on > " + many.day(UnaryOperator.identity())
                + conditions(include, exclude, shouldHave, all, met, met));
    }

    private static String listed(String prefix, List<Part> parts) {
        return IntStream.range(0, parts.size())
                .mapToObj(i -> parts.get(i).criterion(prefix + i))
                .collect(Collectors.joining(", "));
    }

    private static String sql(
            List<Part> include, List<Part> exclude, List<Part> shouldHave, boolean all, LocalDate day) {
        return Questions.people(day)
                + conditions(
                        include,
                        exclude,
                        shouldHave,
                        all,
                        part -> part.sql().apply(day),
                        part -> part.possible().apply(day));
    }

    /** Who is surely on the list: surely included, and not even possibly excluded, nor possibly with all that should be. */
    private static String conditions(
            List<Part> include,
            List<Part> exclude,
            List<Part> shouldHave,
            boolean all,
            Function<Part, String> surely,
            Function<Part, String> possibly) {
        StringBuilder sql = new StringBuilder();
        include.forEach(part -> sql.append(" AND ").append(bracketed(surely.apply(part))));
        exclude.forEach(part -> sql.append(" AND NOT ").append(bracketed(possibly.apply(part))));
        if (!shouldHave.isEmpty()) {
            sql.append(shouldHave.stream()
                    .map(part -> bracketed(possibly.apply(part)))
                    .collect(Collectors.joining(all ? " AND " : " OR ", " AND NOT (", ")")));
        }
        return sql.toString();
    }

    private static String bracketed(String condition) {
        return "(" + condition + ")";
    }
}
