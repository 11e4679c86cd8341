package dipstick.server;

import dipstick.core.text.NormalText;
import java.io.IOException;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Pages say at once whether a term belongs to what is gathered: by text that they compare as the core does. */
class TextForPagesTest {
    record Compared(String given, String compared) {}

    @Test
    void pages_are_tried_with_texts_that_the_core_compares() throws IOException {
        List<Compared> cases = Stream.of(
                        "Hearing  check",
                        " ears\t\r\n due ",
                        "",
                        " \u00a0 ",
                        "ÀÉÎ",
                        "A\u0300e\u0301",
                        "ﬁfth ﬂoor",
                        "ＨＣ１",
                        "m²",
                        "Straße",
                        "ΟΔΟΣ ΟΔΟΣ",
                        "İstanbul Iğdır",
                        "ДОКТОР",
                        "耳\u3000検査",
                        "فَحْص السَّمع",
                        "a\u2003b\u2028c\u202fd",
                        "a\u0085b",
                        "a\ufeffb",
                        "a\u200bb",
                        "👂🏽 CHECK",
                        "ǅ",
                        "Å Å",
                        "½ TABLET",
                        "Ⅻ")
                .map(given -> new Compared(given, NormalText.of(given)))
                .toList();
        WrittenFile.sameAs("web/src/normalText.cases.json", cases, "text.write");
    }
}
