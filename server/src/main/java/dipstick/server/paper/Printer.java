package dipstick.server.paper;

import dipstick.server.web.Problems;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.fop.apps.FOUserAgent;
import org.apache.fop.apps.Fop;
import org.apache.fop.apps.FopConfParser;
import org.apache.fop.apps.FopFactory;
import org.apache.fop.apps.MimeConstants;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSDocument;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.xml.sax.ContentHandler;
import org.xml.sax.SAXException;

/** Sets pages as PDF that is tagged and has a title and a language (PDF/UA-1, ISO 14289-1). */
@Component
class Printer {
    private final Typefaces faces;
    private final FopFactory factory;

    Printer(Typefaces faces) {
        this.faces = faces;
        try {
            this.factory = new FopConfParser(
                            new ByteArrayInputStream(configuration().getBytes(StandardCharsets.UTF_8)),
                            URI.create("file:///"))
                    .getFopFactoryBuilder()
                    .build();
        } catch (SAXException | IOException broken) {
            throw new IllegalStateException("The printing of pages cannot be set up", broken);
        }
    }

    private String configuration() {
        return """
                <fop version="1.0"><accessibility>true</accessibility><renderers><renderer mime="application/pdf">
                <version>1.7</version><pdf-ua-mode>PDF/UA-1</pdf-ua-mode><fonts>%s</fonts></renderer></renderers></fop>
                """.formatted(faces.found().stream()
                .map(face -> font(face, face.regular().toUri(), "normal")
                        + font(face, face.bold().toUri(), "bold"))
                .collect(Collectors.joining()));
    }

    private static String font(Typeface face, URI file, String weight) {
        return """
                <font kerning="yes" embed-url="%s"><font-triplet name="%s" style="normal" weight="%s"/></font>
                """.formatted(file, face.name(), weight);
    }

    /** @param language of the whole, as BCP 47 names it */
    record Document(String title, String language) {}

    /** @param masters the pages that there are, and {@code pages} what stands on them */
    byte[] print(Document document, Fo.Content masters, Fo.Content pages) {
        if (!faces.areThere()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "no-typefaces",
                    "The typefaces that paper is printed with are not on this server, so nothing was printed. Ask"
                            + " whoever looks after it to install fonts-noto-core, fonts-nanum and fonts-droid-fallback.");
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            FOUserAgent agent = factory.newFOUserAgent();
            agent.setTitle(document.title());
            agent.setProducer("Dipstick");
            Fop fop = factory.newFop(MimeConstants.MIME_PDF, agent, bytes);
            ContentHandler to = fop.getDefaultHandler();
            to.startDocument();
            to.startPrefixMapping("fo", "http://www.w3.org/1999/XSL/Format");
            new Fo(to, faces)
                    .element("root", Map.of("xml:lang", document.language(), "font-family", Typefaces.FIRST), fo -> {
                        fo.element("layout-master-set", Map.of(), masters);
                        pages.write(fo);
                    });
            to.endDocument();
            return finished(bytes.toByteArray());
        } catch (SAXException broken) {
            throw new IllegalStateException("The pages cannot be printed", broken);
        }
    }

    /** As a checker of PDF/UA-1 wants it where what set the pages leaves something. */
    private static byte[] finished(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            withoutCharacterLists(document.getDocument());
            withTitleInALanguage(document.getDocumentCatalog().getMetadata());
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException broken) {
            throw new IllegalStateException("The pages cannot be printed", broken);
        }
    }

    /** They need not be there, and are not of all that is there of a typeface (ISO 14289-1, 7.21.4.2). */
    private static void withoutCharacterLists(COSDocument whole) {
        for (COSObjectKey key : whole.getXrefTable().keySet()) {
            if (whole.getObjectFromPool(key).getObject() instanceof COSDictionary dictionary) {
                dictionary.removeItem(COSName.CID_SET);
            }
        }
    }

    /** The title of the metadata is a text in languages (ISO 14289-1, 7.1; ISO 16684-1, 8.3). */
    private static void withTitleInALanguage(PDMetadata metadata) throws IOException {
        String written = new String(metadata.toByteArray(), StandardCharsets.UTF_8);
        metadata.importXMPMetadata(written.replaceFirst(
                        "<dc:title>([^<]*)</dc:title>",
                        "<dc:title><rdf:Alt><rdf:li xml:lang=\"x-default\">$1</rdf:li></rdf:Alt></dc:title>")
                .getBytes(StandardCharsets.UTF_8));
    }
}
