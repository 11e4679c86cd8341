package dipstick.server.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.Normalizer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The typefaces that paper is set in, where the system's packages put them (docs/lists.md). Only scripts are listed whose
 * letters are joined and ordered as they are written; what no typeface here has cannot be printed, and is told before.
 */
@Component
public class Typefaces {
    /** The one without which nothing can be printed: Latin, Greek and Cyrillic. */
    static final String FIRST = "Sans";

    private record Wanted(String name, String regular, String bold) {
        static Wanted noto(String name) {
            return new Wanted(name, "NotoSans" + name + "-Regular.ttf", "NotoSans" + name + "-Bold.ttf");
        }
    }

    /** In the order in which a character is looked for. */
    private static final List<Wanted> WANTED = List.of(
            new Wanted(FIRST, "NotoSans-Regular.ttf", "NotoSans-Bold.ttf"),
            Wanted.noto("Arabic"),
            Wanted.noto("Hebrew"),
            Wanted.noto("Devanagari"),
            Wanted.noto("Armenian"),
            Wanted.noto("Georgian"),
            Wanted.noto("Ethiopic"),
            new Wanted("Korean", "NanumGothic.ttf", "NanumGothicBold.ttf"),
            new Wanted("Chinese and Japanese", "DroidSansFallbackFull.ttf", "DroidSansFallbackFull.ttf"));

    private final List<Typeface> found;

    Typefaces(@Value("${dipstick.typefaces:/usr/share/fonts}") Path folder) {
        Map<String, Path> files = files(folder);
        this.found = WANTED.stream()
                .filter(one -> files.containsKey(one.regular()))
                .map(one -> new Typeface(
                        one.name(), files.get(one.regular()), files.getOrDefault(one.bold(), files.get(one.regular()))))
                .toList();
    }

    private static Map<String, Path> files(Path folder) {
        Map<String, Path> files = new HashMap<>();
        if (Files.isDirectory(folder)) {
            try (Stream<Path> all = Files.walk(folder)) {
                all.filter(Files::isRegularFile)
                        .forEach(file -> files.put(file.getFileName().toString(), file));
            } catch (IOException unreadable) {
                throw new UncheckedIOException("The typefaces in " + folder + " cannot be read", unreadable);
            }
        }
        return files;
    }

    /** Whether anything can be printed at all. */
    public boolean areThere() {
        return found.stream().anyMatch(face -> face.name().equals(FIRST));
    }

    List<Typeface> found() {
        return found;
    }

    /** The text as it is set: composed, and without marks that are not seen. */
    static String set(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFC)
                .replace('\t', ' ')
                .replaceAll("[\\u200E\\u200F\\u202A-\\u202E\\u2066-\\u2069\\uFEFF\\u00AD]", "");
    }

    /** The first character of a text that cannot be printed; nothing where all can be. */
    public Optional<String> unprintable(String text) {
        return set(text)
                .codePoints()
                .filter(one -> one != '\n' && !isPrintable(one))
                .mapToObj(Character::toString)
                .findFirst();
    }

    /** Characters beyond the first plane are not set right, whatever the typeface has. */
    private boolean isPrintable(int codePoint) {
        return !Character.isSupplementaryCodePoint(codePoint)
                && !Character.isISOControl(codePoint)
                && found.stream().anyMatch(face -> face.has(codePoint));
    }

    /** The name of the typeface in which a character is set; the first one's for what all have. */
    String faceOf(int codePoint) {
        return found.stream()
                .filter(face -> face.has(codePoint))
                .findFirst()
                .map(Typeface::name)
                .orElse(FIRST);
    }

    /** In points, at a size in points; before letters are joined, which makes them narrower if anything. */
    double width(String text, double size) {
        return set(text).codePoints().mapToDouble(this::width).sum() * size;
    }

    private double width(int codePoint) {
        return found.stream()
                .flatMap(face -> face.width(codePoint).stream())
                .findFirst()
                .orElse(1.0);
    }
}
