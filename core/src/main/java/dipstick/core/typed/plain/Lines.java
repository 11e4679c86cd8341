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

    /** While they are found there are more, most of which mean nothing. */
    private static final int MOST_TRIED = 16;

    private static final String[] FILLERS = {
        "(?:please )?(?:find|show|list|give|get|count|select|want|need|i want|i need)(?: me)?",
        "(?:whose|all|every|any|those|these|the|only|just|also|both|people|persons?|patients?|everybody|everyone|anybody|anyone|whoever|somebody|someone|of|is|are|was|were|be|been|who|whom|that|which|they|to|with|has|have|had|and|but|in|as|currently|still|a|an|,|;)"
    };

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

    private static final Pattern LEADING = Pattern.compile("^(?:" + String.join("|", FILLERS) + ")(?= |$) ?");
    private static final Pattern TRAILING = Pattern.compile(
            " ?(?<= |^)(?:people|persons?|patients?|who|that|which|is|are|was|were|and|but|with|has|have|had|,|;|please|in|of|at|by)$");

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
    private final List<Rewrite> aheadToo;

    /** @param isRead whether a line of the sheet can be read */
    public Lines(Vocabulary known, Predicate<String> isRead) {
        this.names = new Names(known);
        this.isRead = isRead;
        this.rewrites = rewrites(known, false);
        this.aheadToo = rewrites(known, true);
    }

    /** @param ahead whether what is said may lie ahead */
    private List<Rewrite> rewrites(Vocabulary known, boolean ahead) {
        Optional<LocalDate> asOf = known.onRecord().map(OnRecord::asOf);
        boolean dayFirst = known.onRecord().map(OnRecord::dayFirst).orElse(true);
        return Stream.of(
                        Amounts.ALL.stream(),
                        Dates.all(asOf, dayFirst).stream(),
                        Windows.all(asOf, ahead).stream(),
                        People.manners(names),
                        Records.all(names),
                        People.all(names))
                .flatMap(some -> some)
                .toList();
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
        return choices(parts).stream()
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
                    .limit(MOST_TRIED)
                    .toList();
        }
        return all.stream().flatMap(line -> joined(parts(line)).stream()).toList();
    }

    private String frozen(String line) {
        return Rewrite.tidy(WHOLE.matcher(line)
                .replaceAll(whole -> Matcher.quoteReplacement(
                        " " + names.frozen(whole.group(1).strip()) + " ")));
    }

    /** A part of what was said, or the word that joins two. */
    private record Part(String words, boolean joins) {
        boolean isOr() {
            return joins && words.equals("or");
        }
    }

    private static List<Part> parts(String line) {
        List<Part> parts = new ArrayList<>();
        for (String piece :
                line.replaceAll("((?:(?<= |^)not )?[\uF500-\uF8FE])", "¦ $1 ¦").split("¦")) {
            String words = piece.strip();
            Matcher start = Pattern.compile("^(or|and|but|,|;)(?: (.*))?$").matcher(words);
            if (start.matches()) {
                parts.add(new Part(start.group(1).equals("or") ? "or" : "and", true));
                words = start.group(2) == null ? "" : start.group(2);
            }
            Matcher end = Pattern.compile("^(.*) (or|and|but|,)$").matcher(words);
            boolean ends = end.matches();
            String bare = bare(ends ? end.group(1) : words);
            if (!bare.isEmpty()) {
                parts.add(new Part(bare, false));
            }
            if (ends) {
                parts.add(new Part(end.group(2).equals("or") ? "or" : "and", true));
            }
        }
        return parts;
    }

    private static String bare(String words) {
        String bare = words;
        for (Matcher filler = LEADING.matcher(bare); filler.find(); filler = LEADING.matcher(bare)) {
            bare = bare.substring(filler.end());
        }
        for (Matcher filler = TRAILING.matcher(bare);
                filler.find() && filler.end() > filler.start();
                filler = TRAILING.matcher(bare)) {
            bare = bare.substring(0, filler.start());
        }
        return bare.strip();
    }

    /** Where “and” and “or” stand side by side, either may bind closer. */
    private List<String> joined(List<Part> parts) {

        boolean or = false;
        boolean and = false;
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
                or |= isOr;
                and |= !isOr;
            }
            isOr = false;
            read.add(lines);
        }
        if (read.isEmpty()) {
            return List.of();
        }
        if (read.size() == 1) {
            return read.getFirst();
        }
        List<String> all = new ArrayList<>();
        for (List<String> chosen : choices(read)) {
            if (!or || !and) {
                all.add(group(or ? "any" : "all", chosen));
            } else {
                all.add(grouped("any", "all", chosen, ors, false));
                all.add(grouped("all", "any", chosen, ors, true));
            }
        }

        return all.stream().filter(isRead).toList();
    }

    /** @param splitsAtAnd whether the outer group is one of “and” */
    private static String grouped(
            String outer, String inner, List<String> chosen, List<Boolean> ors, boolean splitsAtAnd) {
        List<String> groups = new ArrayList<>();
        List<String> current = new ArrayList<>(List.of(chosen.getFirst()));
        for (int at = 1; at < chosen.size(); at++) {
            if (ors.get(at - 1) != splitsAtAnd) {
                groups.add(group(inner, current));
                current = new ArrayList<>();
            }
            current.add(chosen.get(at));
        }
        groups.add(group(inner, current));
        return group(outer, groups);
    }

    private static String group(String rule, List<String> parts) {
        String opening = rule + " of these (";
        return parts.size() == 1
                ? parts.getFirst()
                : parts.stream()
                        .map(part -> part.startsWith(opening) && part.endsWith(")")
                                ? part.substring(opening.length(), part.length() - 1)
                                : part)
                        .collect(Collectors.joining("; ", opening, ")"));
    }

    private static List<List<String>> choices(List<List<String>> of) {
        List<List<String>> all = List.of(List.of());
        for (List<String> one : of) {
            all = all.stream()
                    .flatMap(begun -> one.stream()
                            .map(next -> Stream.concat(begun.stream(), Stream.of(next))
                                    .toList()))
                    .limit(MOST_TRIED)
                    .toList();
        }
        return all;
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
                        parts.add(new Part(join.equals(" or ") ? "or" : "and", true));
                    }
                    parts.add(new Part(bare(piece), false));
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
            return List.of(group("all", shared));
        }
        String rule = or ? "any" : "all";
        if (window.isEmpty()) {
            return List.of(group(rule, shared));
        }
        List<String> ownWindow = new ArrayList<>();
        for (int at = 0; at < each.size(); at++) {
            ownWindow.add(at == each.size() - 1 ? shared.getLast() : names.written(each.get(at)));
        }
        return List.of(group(rule, shared), group(rule, ownWindow));
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
