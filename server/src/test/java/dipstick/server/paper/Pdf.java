package dipstick.server.paper;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.flavours.PDFAFlavour;

/** Reads what was printed: its words, and whether it can be read by everybody. */
public final class Pdf {
    private Pdf() {}

    /** What stands on each page, with one space between words. */
    public static List<String> pages(byte[] pdf) throws IOException {
        List<String> pages = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDFTextStripper stripper = new PDFTextStripper();
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                stripper.setStartPage(page);
                stripper.setEndPage(page);
                // Joined letters are read as the letters that they are forms of.
                pages.add(Normalizer.normalize(stripper.getText(document), Normalizer.Form.NFKC)
                        .replaceAll("\\s+", " ")
                        .strip());
            }
        }
        return pages;
    }

    /** What a checker of PDF/UA-1 (ISO 14289-1) finds wrong. */
    public static List<String> inaccessible(byte[] pdf) throws Exception {
        VeraGreenfieldFoundryProvider.initialise();
        try (var parser = Foundries.defaultInstance().createParser(new ByteArrayInputStream(pdf), PDFAFlavour.PDFUA_1);
                var validator = Foundries.defaultInstance().createValidator(PDFAFlavour.PDFUA_1, false)) {
            return validator.validate(parser).getTestAssertions().stream()
                    .map(assertion -> assertion.getRuleId() + " " + assertion.getMessage())
                    .distinct()
                    .toList();
        }
    }
}
