package dipstick.core.typed.plain;

import dipstick.core.records.Field;
import dipstick.core.text.NormalText;
import dipstick.core.typed.Vocabulary;
import dipstick.core.wording.FieldWords;
import dipstick.core.wording.Quoted;
import dipstick.core.wording.SelectionWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The names in what was typed, each as one sign, so that words of the language in them are not taken for such: the longest
 * that fits. A sign says what sort of name it is by where it stands among the private signs of Unicode.
 */
final class Names {
    private static final Pattern TOKEN =
            Pattern.compile("“[^”]*”|\"[^\"]*\"|\\[[^\\]]*\\]|[(),;:]|[^\\s(),;:“”\"\\[\\]]+");

    /** The first sign of whole criteria. */
    private static final char FROZEN = '\uF500';

    private final Map<String, List<Name>> byFirstWord = new HashMap<>();
    private final Map<String, Character> signs = new HashMap<>();
    private final Map<Character, List<Value>> values = new HashMap<>();
    private final Map<Character, String> fields = new HashMap<>();
    private final Map<Character, Integer> used = new HashMap<>();
    private final Map<Character, String> said = new HashMap<>();

    /** A value of a field of people. */
    record Value(String field, String value) {}

    /**
     * A name.
     *
     * @param from the first sign of its sort
     * @param is what it stands for, as the sheet says it
     */
    private record Name(List<String> words, char from, String is, Optional<Value> value) {}

    private enum Sort {
        TERM_SET('\uE000'),
        KIND('\uE400'),
        VALUE('\uE800'),
        QUOTED('\uEC00'),
        TEXT('\uF000'),
        NUMBER('\uF100'),
        DATE('\uF200'),
        FLAG('\uF300');

        private final char first;

        Sort(char first) {
            this.first = first;
        }
    }

    Names(Vocabulary known) {
        Set<String> shared = known.sharedNames();
        known.termSets()
                .forEach(set -> plural(set.name()).forEach(name -> add(name, Sort.TERM_SET, named(set, shared))));
        Stream.concat(SelectionWords.COUNTABLE.stream(), known.kinds().stream())
                .forEach(kind -> plural(kind).forEach(name -> add(name, Sort.KIND, SelectionWords.kind(kind))));
        Stream.concat(known.sets().stream(), known.rosters().stream())
                .map(Vocabulary.Named::name)
                .filter(name -> name.contains(" "))
                .forEach(name -> add(name, Sort.QUOTED, Quoted.always(name)));
        for (Field field : known.fields().people().tested()) {
            Sort sort = switch (field.type()) {
                case NUMBER -> Sort.NUMBER;
                case DATE -> Sort.DATE;
                case FLAG -> Sort.FLAG;
                case IDENTIFIER, TEXT, TEXTS, CODINGS -> Sort.TEXT;
            };
            called(field).forEach(name -> add(name, sort, field.name()));
            UsualWords.ALSO_CALLED.getOrDefault(field.name(), List.of()).stream()
                    .filter(name -> known.fields().people().find(name).isEmpty())
                    .forEach(name -> add(name, sort, field.name()));
            if (sort == Sort.TEXT) {
                known.onRecord()
                        .map(record -> record.values().apply(field.name()))
                        .orElse(List.of())
                        .forEach(value -> add(value, field));
            }
        }
    }

    private static String named(Vocabulary.Named set, Set<String> shared) {
        return shared.contains(set.name())
                ? Quoted.always(set.name()) + "#" + Quoted.value(set.id())
                : Quoted.name(set.name());
    }

    /** A field's name, and that of a date without the word that says so: “registered on” is registered. */
    private static Stream<String> called(Field field) {
        String words = FieldWords.name(field.name());
        return Stream.of(words, field.name(), words.replaceFirst(" (?:on|date|at)$", ""))
                .filter(name -> !name.equals("id") && !name.equals("birth") && !name.equals("deceased"))
                .distinct();
    }

    private static Stream<String> plural(String name) {
        String other = name.endsWith("y") && !name.matches(".*[aeiou]y")
                ? name.substring(0, name.length() - 1) + "ies"
                : name.matches(".*(?:s|x|ch|sh)") ? name + "es" : name + "s";
        return Stream.of(name, other);
    }

    private void add(String name, Sort sort, String is) {
        add(new Name(words(name), sort.first, is, Optional.empty()));
    }

    private void add(String value, Field field) {
        add(new Name(words(value), Sort.VALUE.first, value, Optional.of(new Value(field.name(), value))));
    }

    private void add(Name name) {
        if (!name.words().isEmpty()) {
            byFirstWord
                    .computeIfAbsent(name.words().getFirst(), _ -> new ArrayList<>())
                    .add(name);
        }
    }

    Set<String> words() {
        return byFirstWord.values().stream()
                .flatMap(names -> names.stream().flatMap(name -> name.words().stream()))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** As they are compared. */
    static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        Matcher token = TOKEN.matcher(text.replace('’', '\''));
        while (token.find()) {
            words.add(NormalText.of(token.group()));
        }
        return words;
    }

    /** What was typed, with a sign for each name and single spaces between. */
    String found(String typed) {
        List<String> tokens = new ArrayList<>();
        Matcher token = TOKEN.matcher(typed.replace('’', '\''));
        while (token.find()) {
            tokens.add(token.group());
        }
        List<String> words = tokens.stream().map(NormalText::of).toList();
        List<String> out = new ArrayList<>();
        int at = 0;
        while (at < words.size()) {
            Optional<Name> name = longest(words, at, lastField(out));
            if ("“\"[".indexOf(tokens.get(at).charAt(0)) >= 0) {
                out.add(quoted(tokens.get(at)));
                at++;
            } else if (name.isEmpty()) {
                out.add(words.get(at));
                at++;
            } else {
                at += name.get().words().size();
                boolean owns = words.get(at - 1).endsWith("'s")
                        && !name.get().words().getLast().endsWith("'s");
                out.add(sign(name.get()) + (owns ? " 's" : ""));
            }
        }
        return String.join(" ", out);
    }

    /** The field of people that was named last, where only words that lead to its value came after it. */
    private Optional<String> lastField(List<String> out) {
        for (int at = out.size() - 1; at >= 0; at--) {
            char sign = out.get(at).charAt(0);
            if (fields.containsKey(sign)) {
                return Optional.of(fields.get(sign));
            }
            if (UsualWords.SPEAKS.contains(out.get(at))) {
                return Optional.of("language");
            }
            if (!UsualWords.IS.contains(out.get(at)) && !values.containsKey(sign)) {
                return Optional.empty();
            }
        }
        return Optional.empty();
    }

    private Optional<Name> longest(List<String> words, int at, Optional<String> of) {
        String first = words.get(at);
        Stream<Name> candidates = Stream.concat(
                byFirstWord.getOrDefault(first, List.of()).stream(),
                first.endsWith("'s")
                        ? byFirstWord.getOrDefault(first.substring(0, first.length() - 2), List.of()).stream()
                        : Stream.of());
        return candidates
                .filter(name -> stands(name, words, at) && mayStand(name, of))
                .max(Comparator.<Name>comparingInt(name -> name.words().size())
                        .thenComparing(name -> of.isPresent()
                                && name.value()
                                        .filter(value -> value.field().equals(of.get()))
                                        .isPresent())
                        .thenComparing(name -> name.value().isEmpty()));
    }

    private static boolean stands(Name name, List<String> words, int at) {
        int length = name.words().size();
        if (at + length > words.size()) {
            return false;
        }
        for (int i = 0; i < length; i++) {
            String word = words.get(at + i);
            String wanted = name.words().get(i);
            if (!word.equals(wanted) && !(i == length - 1 && word.equals(wanted + "'s"))) {
                return false;
            }
        }
        return true;
    }

    /** A value that is a word of the language is meant only where its field was named before it. */
    private static boolean mayStand(Name name, Optional<String> of) {
        if (name.value().isEmpty()) {
            return true;
        }
        boolean ofField = of.isPresent() && name.value().get().field().equals(of.get());
        boolean plain = name.words().size() > 1
                || (!Quoted.isReserved(name.words().getFirst())
                        && name.words().getFirst().matches("\\p{L}.{2,}")
                        && !UsualWords.SAID_OTHERWISE.contains(name.words().getFirst()));
        return ofField || plain;
    }

    private String quoted(String token) {
        if (token.startsWith("[")) {
            return String.valueOf(sign(Sort.QUOTED.first, token));
        }
        List<String> inside = words(token.substring(1, token.length() - 1));
        Optional<Name> name = inside.isEmpty()
                ? Optional.empty()
                : byFirstWord.getOrDefault(inside.getFirst(), List.of()).stream()
                        .filter(one -> one.words().equals(inside))
                        .findFirst();
        return name.map(this::sign)
                .orElseGet(() ->
                        String.valueOf(sign(Sort.QUOTED.first, Quoted.always(token.substring(1, token.length() - 1)))));
    }

    private String sign(Name name) {
        char sign = sign(name.from(), name.value().isPresent() ? "value " + String.join(" ", name.words()) : name.is());
        if (name.value().isPresent()) {
            List<Value> all = byFirstWord.get(name.words().getFirst()).stream()
                    .filter(other -> other.words().equals(name.words()))
                    .flatMap(other -> other.value().stream())
                    .distinct()
                    .toList();
            values.put(sign, all);
        }
        return String.valueOf(sign);
    }

    private char sign(char from, String is) {
        Character known = signs.get(from + is);
        if (known != null) {
            return known;
        }
        char sign = (char) (from + used.merge(from, 1, Integer::sum) - 1);
        signs.put(from + is, sign);
        boolean isField = from >= Sort.TEXT.first && from < FROZEN;
        said.put(sign, isField ? FieldWords.inSentence(is) : is);
        if (isField) {
            fields.put(sign, is);
        }
        return sign;
    }

    /** A whole criterion as one sign, so that no word of it is taken for another. */
    char frozen(String criterion) {
        return sign(FROZEN, criterion);
    }

    /** The criterion that a sign stands for; nothing where it is of another sort. */
    Optional<String> thawed(String sign) {
        return sign.length() == 1 && sign.charAt(0) >= FROZEN && sign.charAt(0) < '\uF8FF'
                ? Optional.ofNullable(said.get(sign.charAt(0)))
                : Optional.empty();
    }

    /** The sign of a kind that the product knows by name. */
    String kind(String kind) {
        return String.valueOf(sign(Sort.KIND.first, SelectionWords.kind(kind)));
    }

    /** The sign of a field. */
    String field(String field, char from) {
        return String.valueOf(sign(from, field));
    }

    /** The value of a field that is on record under one of these words; the first of them where none is. */
    String valueOf(String field, List<String> words) {
        return words.stream()
                .flatMap(word -> byFirstWord.getOrDefault(word, List.of()).stream())
                .flatMap(name -> name.value().stream()
                        .filter(value ->
                                value.field().equals(field) && name.words().size() == 1))
                .map(Value::value)
                .findFirst()
                .orElse(words.getFirst());
    }

    /** The fields that have the value that a sign stands for. */
    List<Value> valuesAt(char sign) {
        return values.getOrDefault(sign, List.of());
    }

    /** Whether words that were not taken for a value are one all the same, since nothing else stands beside them. */
    List<Value> valuesCalled(String text) {
        List<String> words = words(text);
        return words.isEmpty()
                ? List.of()
                : byFirstWord.getOrDefault(words.getFirst(), List.of()).stream()
                        .filter(name -> name.words().equals(words))
                        .flatMap(name -> name.value().stream())
                        .distinct()
                        .toList();
    }

    /** With the names instead of their signs, as the sheet writes them. */
    String written(String line) {
        StringBuilder written = new StringBuilder();
        String field = "";
        for (int at = 0; at < line.length(); at++) {
            char sign = line.charAt(at);
            if (fields.containsKey(sign)) {
                field = fields.get(sign);
            }
            if (values.containsKey(sign)) {
                String of = field;
                List<Value> all = values.get(sign);
                written.append(Quoted.value(all.stream()
                        .filter(value -> value.field().equals(of))
                        .findFirst()
                        .orElse(all.getFirst())
                        .value()));
            } else {
                written.append(said.getOrDefault(sign, String.valueOf(sign)));
            }
        }
        return written.toString();
    }
}
