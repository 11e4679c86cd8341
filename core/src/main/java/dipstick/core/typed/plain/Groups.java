package dipstick.core.typed.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Lines of the sheet put together as groups. */
final class Groups {
    /** While they are found there are more, most of which mean nothing. */
    static final int MOST_TRIED = 16;

    private Groups() {}

    /**
     * Each of several, joined. Where “and” and “or” stand side by side, either may bind closer.
     *
     * @param meanings of each
     * @param ors whether each but the first is joined to the one before it by “or”
     */
    static List<String> joined(List<List<String>> meanings, List<Boolean> ors) {
        boolean mixed = ors.contains(true) && ors.contains(false);
        return meanings.isEmpty()
                ? List.of()
                : choices(meanings).stream()
                        .flatMap(chosen -> mixed
                                ? Stream.of(
                                        grouped("any", "all", chosen, ors, false),
                                        grouped("all", "any", chosen, ors, true))
                                : Stream.of(group(ors.contains(true) ? "any" : "all", chosen)))
                        .toList();
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

    /** One that is such a group itself stands in it part by part. */
    static String group(String rule, List<String> parts) {
        String opening = rule + " of these (";
        return parts.size() == 1
                ? parts.getFirst()
                : parts.stream()
                        .map(part -> part.startsWith(opening) && part.endsWith(")")
                                ? part.substring(opening.length(), part.length() - 1)
                                : part)
                        .collect(Collectors.joining("; ", opening, ")"));
    }

    /** One of each, in each way. */
    static List<List<String>> choices(List<List<String>> of) {
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
}
