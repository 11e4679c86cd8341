package dipstick.core.typed.plain;

import dipstick.core.records.RecordFields;
import dipstick.core.typed.OnRecord;
import dipstick.core.typed.Vocabulary;
import dipstick.core.typed.plain.Names.Value;
import dipstick.core.wording.FieldWords;
import dipstick.core.wording.Quoted;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.node.MissingNode;

/** The lines of the sheet that something may mean which was typed as people say it. */
public final class Lines {
    /** More things than these nobody chooses from. */
    private static final int MOST = 6;

    /** In a longer line a number may be of anything. */
    private static final int MOST_WORDS_OF_AGES = 3;

    private static final Pattern GROUP =
            Pattern.compile("(?i)(any|all|at least \\d+|exactly \\d+) of these \\((.*)\\)");
    /** The number was of something else. */
    private static final Pattern OLDER_THAN_ANYBODY =
            Pattern.compile("^aged (?:1[3-9]\\d|[2-9]\\d\\d|\\d{4,})(?! days| weeks| months)");

    /** Records one beside the other, each without a window of its own, and perhaps one behind the last. */
    private static final Pattern RECORDS = Pattern.compile(
            "(no )?([\uE000-\uE7FF](?: in [\uE000-\uE7FF])?(?: (?:or|and|,) (?:(?:a|an|any) )?[\uE000-\uE7FF](?: in [\uE000-\uE7FF])?)+)( ⟪[^⟫]*⟫)?");

    private static final Pattern BARE_RECORD = Pattern.compile("[\uE000-\uE7FF]");

    /** What stands for names here and between criteria; nobody types it. */
    private static final Pattern OUR_SIGNS = Pattern.compile("[\uE000-\uF8FF¦‹›⟦⟧⟪⟫⟬⟭]");

    private static final Pattern WHOLE = Pattern.compile("⟦([^⟦⟧]*)⟧");

    /** Those that stand in some way of saying something. */
    private static final Set<String> WORDS_OF_LANGUAGE = Stream.concat(
                    Mends.LANGUAGE.stream(),
                    new Lines(
                                    Vocabulary.of(MissingNode.getInstance(), RecordFields.KNOWN, List.of(), List.of()),
                                    _ -> false)
                            .rewrites.stream()
                                    .flatMap(rewrite -> Pattern.compile("[a-z']{3,}")
                                            .matcher(rewrite.said().pattern())
                                            .results()
                                            .map(MatchResult::group)))
            .collect(Collectors.toUnmodifiableSet());

    private final Names names;
    private final Predicate<String> isRead;
    private final List<Rewrite> rewrites;
    /** The same where what is said may lie ahead. */
    private final List<Rewrite> aheadToo;

    /** @param isRead whether a line of the sheet can be read */
    public Lines(Vocabulary known, Predicate<String> isRead) {
        this.names = new Names(known);
        this.isRead = isRead;
        Optional<LocalDate> asOf = known.onRecord().map(OnRecord::asOf);
        boolean dayFirst = known.onRecord().map(OnRecord::dayFirst).orElse(true);
        List<Rewrite> before = Stream.concat(Amounts.ALL.stream(), Dates.all(asOf, dayFirst).stream())
                .toList();
        List<Rewrite> after = Stream.of(People.manners(names), Records.all(names), People.all(names))
                .flatMap(some -> some)
                .toList();
        this.rewrites = rewrites(before, Windows.all(asOf, false), after);
        this.aheadToo = rewrites(before, Windows.all(asOf, true), after);
    }

    private static List<Rewrite> rewrites(List<Rewrite> before, List<Rewrite> windows, List<Rewrite> after) {
        return Stream.of(before, windows, after).flatMap(List::stream).toList();
    }

    /**
     * What was typed as people say it, as lines of the sheet, each once; several where it may mean several things, none where
     * something in it is not understood.
     */
    public List<String> meanings(String typed) {
        if (OUR_SIGNS.matcher(typed).find()) {
            return List.of();
        }
        Matcher group = GROUP.matcher(typed.strip());
        List<String> meant = group.matches()
                ? group(group.group(1), group.group(2), part -> isRead.test(part) ? List.of(part) : meanings(part))
                : of(names.found(typed.strip()
                        .replaceFirst("\\s*[.?!]+$", "")
                        .replaceAll("(?i)\\bregistered (?:at|with)\\b", "at")));
        return meant.stream().filter(isRead).distinct().limit(MOST).toList();
    }

    /** What is often asked of the record or the numbers that are named in what is not understood. */
    List<String> perhaps(String typed) {
        String said = names.found(typed);
        if (said.split(" ").length > MOST_WORDS_OF_AGES && !said.matches(".*[\uE000-\uE7FF].*")) {
            return List.of();
        }
        Matcher record = Pattern.compile("[\uE000-\uE7FF]").matcher(said);
        Matcher ages = Pattern.compile("(?<!\\S)(\\d{1,2})(?: ?(?:to|-|and) ?(\\d{1,2}))?(?!\\S)")
                .matcher(said);
        Stream<String> lines = record.find()
                ? Stream.of(
                        "no " + record.group() + " in the last 12 months", record.group() + " in the last 12 months")
                : !ages.find()
                        ? Stream.of()
                        : ages.group(2) == null
                                ? Stream.of("aged " + ages.group(1) + " or over", "aged " + ages.group(1) + " or under")
                                : Stream.of("aged " + ages.group(1) + " to " + ages.group(2));
        return lines.map(names::written).filter(isRead).toList();
    }

    /** The runs of words in it that are neither names nor words of the language, as they were typed. */
    public List<String> unknown(String typed) {
        List<String> runs = new ArrayList<>();
        StringBuilder run = new StringBuilder();
        for (String word : (names.found(typed) + " .").split(" ")) {
            boolean isUnknown = word.matches("\\p{L}[\\p{L}\\p{N}'/-]{2,}")
                    && !Quoted.isReserved(word)
                    && !WORDS_OF_LANGUAGE.contains(word);
            if (isUnknown) {
                run.append(run.isEmpty() ? "" : " ").append(word);
            } else if (!run.isEmpty()) {
                runs.add(asTyped(run.toString(), typed));
                run.setLength(0);
            }
        }
        return runs;
    }

    private static String asTyped(String words, String typed) {
        int at = typed.toLowerCase(Locale.ROOT).indexOf(words);
        return at < 0 || at + words.length() > typed.length() ? words : typed.substring(at, at + words.length());
    }

    /** The words that names on record and in the document are made of. */
    Set<String> wordsOfNames() {
        return names.words();
    }

    /** A group whose parts are said as people say them. */
    private static List<String> group(String rule, String inside, Function<String, List<String>> meanings) {
        List<List<String>> parts = new ArrayList<>();
        for (String part : inside.split(";")) {
            parts.add(meanings.apply(part.strip()));
        }
        return Groups.choices(parts).stream()
                .map(chosen -> rule + " of these (" + String.join("; ", chosen) + ")")
                .toList();
    }

    private List<String> of(String said) {
        List<String> all = List.of(said);
        for (Rewrite rewrite : said.contains(names.kind("appointment")) ? aheadToo : rewrites) {
            all = all.stream()
                    .flatMap(rewrite::of)
                    .map(this::frozen)
                    .distinct()
                    .limit(Groups.MOST_TRIED)
                    .toList();
        }
        return all.stream().flatMap(line -> joined(Part.of(line)).stream()).toList();
    }

    private String frozen(String line) {
        return Rewrite.tidy(WHOLE.matcher(line)
                .replaceAll(whole -> Matcher.quoteReplacement(
                        " " + names.frozen(whole.group(1).strip()) + " ")));
    }

    private List<String> joined(List<Part> parts) {
        List<List<String>> read = new ArrayList<>();
        List<Boolean> ors = new ArrayList<>();
        boolean isOr = false;
        for (Part part : parts) {
            if (part.joins()) {
                isOr = part.isOr();
                continue;
            }
            List<String> lines = read(part.words());
            if (lines.isEmpty()) {
                return List.of();
            }
            if (!read.isEmpty()) {
                ors.add(isOr);
            }
            isOr = false;
            read.add(lines);
        }
        return Groups.joined(read, ors).stream().filter(isRead).toList();
    }

    /** What one part may mean. */
    private List<String> read(String part) {
        if (part.startsWith("not ") && names.thawed(part.substring(4)).isPresent()) {
            return read(part.substring(4)).stream()
                    .map(line -> "not so that (" + line + ")")
                    .filter(isRead)
                    .toList();
        }
        Optional<String> whole = names.thawed(part);
        if (whole.isPresent()) {
            return OLDER_THAN_ANYBODY.matcher(whole.get()).find() ? List.of() : read(whole.get());
        }
        List<String> values = values(part);
        if (!values.isEmpty()) {
            return values;
        }
        String line = names.written(part.replaceAll("[⟪⟫⟬⟭‹›]", ""));
        if (isRead.test(line)) {
            return List.of(line);
        }
        Matcher records = RECORDS.matcher(part);
        if (records.matches()) {
            return ofSeveral(records);
        }
        String ofRecord = ofRecord(part);
        if (!ofRecord.equals(part)) {
            return read(ofRecord);
        }
        for (String join : List.of(" and | but | , | ; ", " or ")) {
            String[] pieces = part.split(join);
            if (pieces.length > 1) {
                List<Part> parts = new ArrayList<>();
                for (String piece : pieces) {
                    if (!parts.isEmpty()) {
                        parts.add(Part.joining(join.strip()));
                    }
                    parts.add(new Part(Part.bare(piece), false));
                }
                boolean complete = parts.stream().noneMatch(one -> one.words().isEmpty())
                        // What is said before the first of several records may be of all of them.
                        && parts.stream()
                                .skip(1)
                                .noneMatch(
                                        one -> BARE_RECORD.matcher(one.words()).lookingAt());
                List<String> lines = complete ? joined(parts) : List.of();
                if (!lines.isEmpty()) {
                    return lines;
                }
            }
        }
        return List.of();
    }

    /**
     * “No check or visit in the last year” is neither, “no check and visit” may mean anything; a window behind the last of several
     * may be of all of them, or of that one.
     */
    private List<String> ofSeveral(Matcher records) {
        boolean none = records.group(1) != null;
        boolean or = !records.group(2).contains(" and ") && !records.group(2).contains(" , ");
        boolean mixed = records.group(2).contains(" or ") && records.group(2).contains(" and ");
        if (mixed || (none && !or)) {
            return List.of();
        }
        List<String> each = List.of(records.group(2).split(" (?:or|and|,) (?:(?:a|an|any) )?"));
        String window = records.group(3) == null ? "" : records.group(3);
        List<String> shared = each.stream()
                .map(one -> names.written((none ? "no " : "") + one + window).replaceAll("[⟪⟫]", ""))
                .toList();
        if (!shared.stream().allMatch(isRead)) {
            return List.of();
        }
        if (none) {
            return List.of(Groups.group("all", shared));
        }
        String rule = or ? "any" : "all";
        if (window.isEmpty()) {
            return List.of(Groups.group(rule, shared));
        }
        List<String> ownWindow = new ArrayList<>();
        for (int at = 0; at < each.size(); at++) {
            ownWindow.add(at == each.size() - 1 ? shared.getLast() : names.written(each.get(at)));
        }
        return List.of(Groups.group(rule, shared), Groups.group(rule, ownWindow));
    }

    /** “visit whose at Mill Lane” is one whose site is that. */
    private String ofRecord(String part) {
        Matcher at = Pattern.compile("whose @ ([\uE800-\uEBFF])((?: ⟪[^⟫]*⟫)?)").matcher(part);
        if (!at.find()) {
            return part;
        }
        return names.valuesAt(at.group(1).charAt(0)).stream()
                .filter(value -> value.field().equals("site") || value.field().equals("provider"))
                .findFirst()
                .map(value -> at.replaceFirst(Matcher.quoteReplacement(
                        "whose " + value.field() + " is " + Quoted.value(value.value()) + at.group(2))))
                .orElse(part);
    }

    /** A value alone, or several of one field: in each field that has them. */
    private List<String> values(String part) {
        Matcher of = Pattern.compile("(not )?([\uE800-\uEBFF](?:(?: or| ,| and| /)+ [\uE800-\uEBFF])*)")
                .matcher(part);
        String is = part.startsWith("not ") ? " is not " : " is ";
        if (!of.matches()) {
            return names.valuesCalled(part.replaceFirst("^not ", "")).stream()
                    .map(value -> FieldWords.inSentence(value.field()) + is + Quoted.value(value.value()))
                    .filter(isRead)
                    .toList();
        }
        List<List<Value>> each = of.group(2)
                .chars()
                .filter(sign -> sign >= '\uE800' && sign <= '\uEBFF')
                .mapToObj(sign -> names.valuesAt((char) sign))
                .toList();
        return each.getFirst().stream()
                .map(Value::field)
                .distinct()
                .filter(field -> each.stream()
                        .allMatch(some ->
                                some.stream().anyMatch(value -> value.field().equals(field))))
                .map(field -> FieldWords.inSentence(field)
                        + is
                        + String.join(
                                " or ",
                                each.stream()
                                        .map(some -> some.stream()
                                                .filter(value -> value.field().equals(field))
                                                .findFirst()
                                                .orElseThrow())
                                        .map(value -> Quoted.value(value.value()))
                                        .toList()))
                .filter(isRead)
                .toList();
    }
}
