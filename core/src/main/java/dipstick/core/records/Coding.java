package dipstick.core.records;

import dipstick.core.text.NormalText;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A further code of a record, as written and trimmed (criteria.md section 1, {@code also_coded}).
 *
 * @param code not empty
 * @param system empty where it has none
 */
public record Coding(String code, String system) {
    private static final char SEPARATOR = ';';
    private static final char BEFORE_SYSTEM = '|';

    /** The codings of a cell: {@code code} or {@code code|system}, separated by {@code ;}. */
    public static List<Coding> parse(String cell) {
        return Arrays.stream(cell.split(String.valueOf(SEPARATOR), -1))
                .map(Coding::one)
                .filter(coding -> !coding.code().isEmpty())
                .toList();
    }

    private static Coding one(String entry) {
        int bar = entry.indexOf(BEFORE_SYSTEM);
        return bar < 0
                ? new Coding(NormalText.identifier(entry), "")
                : new Coding(
                        NormalText.identifier(entry.substring(0, bar)),
                        NormalText.identifier(entry.substring(bar + 1)));
    }

    /** A cell that is parsed into the same codings. */
    public static String written(List<Coding> codings) {
        return codings.stream().map(Coding::written).collect(Collectors.joining(SEPARATOR + " "));
    }

    public String written() {
        return system.isEmpty() ? code : code + BEFORE_SYSTEM + system;
    }
}
