package dipstick.server.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Optional;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBufferedFile;

/** A typeface of some scripts: which characters it has, and how wide they are. */
final class Typeface {
    private final String name;
    private final Path regular;
    private final Path bold;
    private final TrueTypeFont font;
    private final CmapLookup glyphs;
    private final int unitsPerEm;

    /** @param bold the same file where there is no bold one */
    Typeface(String name, Path regular, Path bold) {
        this.name = name;
        this.regular = regular;
        this.bold = bold;
        try {
            this.font = new TTFParser().parse(new RandomAccessReadBufferedFile(regular.toFile()));
            this.glyphs = font.getUnicodeCmapLookup();
            this.unitsPerEm = font.getUnitsPerEm();
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The typeface " + regular + " cannot be read", unreadable);
        }
    }

    String name() {
        return name;
    }

    Path regular() {
        return regular;
    }

    Path bold() {
        return bold;
    }

    boolean has(int codePoint) {
        return glyphs.getGlyphId(codePoint) != 0;
    }

    /** As a part of the size; nothing where it has no such character. */
    Optional<Double> width(int codePoint) {
        int glyph = glyphs.getGlyphId(codePoint);
        if (glyph == 0) {
            return Optional.empty();
        }
        try {
            return Optional.of(font.getAdvanceWidth(glyph) / (double) unitsPerEm);
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The typeface " + regular + " cannot be read", unreadable);
        }
    }
}
