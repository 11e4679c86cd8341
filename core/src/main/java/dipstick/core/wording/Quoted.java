package dipstick.core.wording;

import dipstick.core.text.NormalText;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Names and texts as they stand in sentences: as they are where nothing else could be meant, else between quotation
 * marks. A closing mark inside is doubled.
 */
public final class Quoted {
    /** Words that the sentences themselves are made of; a text that has one of them is quoted. */
    private static final Set<String> RESERVED =
            Set.of(("a above active after age aged ages ago all an and any are as at below "
                            + "between blank by codes contain contains date days different each earliest eligible empty end ever every exactly "
                            + "falls for from had has have if in is kind last latest least list missing more most month months never next no "
                            + "none not of off on or over past per quarter record recorded records roster set should since so start "
                            + "starts term than that the there these this through time to today under up value week weeks whose "
                            + "with within year years yes yesterday problem problems result results procedure procedures vaccination "
                            + "vaccinations visit visits appointment appointments document documents medication medications "
                            + "contact contacts")
                    .split(" "));

    private static final Pattern PLAIN = Pattern.compile(
            "[\\p{L}\\p{N}]+(?:[-'’/.%*+^_@][\\p{L}\\p{N}]+)*%?(?: [\\p{L}\\p{N}]+(?:[-'’/.%*+^_@][\\p{L}\\p{N}]+)*%?)*|%");

    private Quoted() {}

    /** A text from the records, or one that is to be met by them. */
    public static String value(String text) {
        return isPlain(text) ? text : always(text);
    }

    /** The name of a term set, a roster, a set or a field; one that begins with a figure is quoted. */
    public static String name(String name) {
        return isPlain(name) && Character.isLetter(name.codePointAt(0)) ? name : always(name);
    }

    /** A dial, by its name. */
    public static String dial(String name) {
        return "[" + onOneLine(name).replace("]", "]]") + "]";
    }

    /** Between quotation marks whatever it says. */
    public static String always(String text) {
        return "“" + onOneLine(text).replace("”", "””") + "”";
    }

    /** Whether a text stands on a line as it is: what separates its words is single spaces. */
    public static boolean isOneLine(String text) {
        return text.equals(text.replaceAll("\\s+", " ").strip());
    }

    /** Line breaks and tabs as the signs for them (Unicode, control pictures); such a sign itself has ␛ before it. */
    private static String onOneLine(String text) {
        return text.replaceAll("[␛␊␍␉]", "␛$0")
                .replace('\n', '␊')
                .replace('\r', '␍')
                .replace('\t', '␉');
    }

    /** What a sign between quotation marks stands for; itself where it stands for nothing else. */
    public static char meant(char sign) {
        return switch (sign) {
            case '␊' -> '\n';
            case '␍' -> '\r';
            case '␉' -> '\t';
            default -> sign;
        };
    }

    /** Whether this word, lower case, belongs to the sentences. */
    public static boolean isReserved(String word) {
        return RESERVED.contains(word);
    }

    private static boolean isPlain(String text) {
        if (!PLAIN.matcher(text).matches()) {
            return false;
        }
        for (String word : NormalText.of(text).split(" ")) {
            if (isReserved(word)) {
                return false;
            }
        }
        return true;
    }
}
