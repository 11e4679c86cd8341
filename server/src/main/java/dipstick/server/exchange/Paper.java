package dipstick.server.exchange;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.openpdf.text.Chunk;
import org.openpdf.text.Document;
import org.openpdf.text.Element;
import org.openpdf.text.Font;
import org.openpdf.text.PageSize;
import org.openpdf.text.Paragraph;
import org.openpdf.text.Phrase;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.BaseFont;
import org.openpdf.text.pdf.ColumnText;
import org.openpdf.text.pdf.PdfPCell;
import org.openpdf.text.pdf.PdfPTable;
import org.openpdf.text.pdf.PdfPageEventHelper;
import org.openpdf.text.pdf.PdfWriter;

/** What is printed: A4 pages as PDF (ISO 32000), with a footer that says who printed it, when and why. */
final class Paper {
    private static final float MILLIMETRE = 72 / 25.4f;
    private static final float MARGIN = 20 * MILLIMETRE;

    /** Where the window of an envelope is (ISO 269 DL; the address field of DIN 5008, form B). */
    private static final float WINDOW_TOP = 45 * MILLIMETRE;

    private static final float WINDOW_WIDTH = 85 * MILLIMETRE;
    private static final float WINDOW_HEIGHT = 45 * MILLIMETRE;
    private static final float BODY_TOP = 100 * MILLIMETRE;

    private static final int LABEL_COLUMNS = 3;
    private static final int LABEL_ROWS = 8;

    private final BaseFont plain;
    private final BaseFont bold;

    Paper() {
        this.plain = font("LiberationSans-Regular.ttf");
        this.bold = font("LiberationSans-Bold.ttf");
    }

    private static BaseFont font(String name) {
        try (InputStream file = Paper.class.getResourceAsStream("/liberation/" + name)) {
            if (file == null) {
                throw new IllegalStateException("The typeface " + name + " does not come with the application");
            }
            return BaseFont.createFont(name, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, file.readAllBytes(), null);
        } catch (IOException unreadable) {
            throw new IllegalStateException("The typeface " + name + " cannot be read", unreadable);
        }
    }

    /** @param lines of the address, the name first */
    record Addressed(List<String> lines, LetterTemplate.Letter letter) {}

    /** Each letter begins a page, with its address where the envelope's window is. */
    byte[] letters(List<Addressed> letters, String sender, String day, String footer) {
        return print(Footer.of(footer), PageSize.A4, (document, writer) -> {
            for (Addressed one : letters) {
                document.newPage();
                address(writer, one.lines(), sender);
                document.add(space(BODY_TOP - MARGIN));
                document.add(right(day));
                document.add(subject(one.letter().subject()));
                for (String line : one.letter().body().split("\n", -1)) {
                    document.add(new Paragraph(line.isEmpty() ? " " : line, new Font(plain, 11)));
                }
            }
        });
    }

    private void address(PdfWriter writer, List<String> lines, String sender) {
        float top = PageSize.A4.getHeight() - WINDOW_TOP;
        ColumnText window = new ColumnText(writer.getDirectContent());
        window.setSimpleColumn(MARGIN, top - WINDOW_HEIGHT, MARGIN + WINDOW_WIDTH, top);
        window.addElement(new Paragraph(sender, new Font(plain, 7)));
        window.addElement(new Paragraph(" ", new Font(plain, 6)));
        lines.forEach(line -> window.addElement(new Paragraph(line, new Font(plain, 11))));
        window.go();
    }

    private Paragraph subject(String words) {
        Paragraph paragraph = new Paragraph(words, new Font(bold, 11));
        paragraph.setSpacingAfter(11);
        return paragraph;
    }

    private Paragraph right(String words) {
        Paragraph paragraph = new Paragraph(words, new Font(plain, 11));
        paragraph.setAlignment(Element.ALIGN_RIGHT);
        paragraph.setSpacingAfter(14);
        return paragraph;
    }

    private Paragraph space(float height) {
        Paragraph paragraph = new Paragraph(new Chunk(" ", new Font(plain, 1)));
        paragraph.setSpacingAfter(height);
        return paragraph;
    }

    /** Addresses on sheets of 3 by 8 labels, 70 by 37 mm; the footer is on the edge of the lowest ones. */
    byte[] labels(List<List<String>> addresses, String footer) {
        return print(new Footer(footer, 4, 2 * MILLIMETRE), new Rectangle(PageSize.A4), (document, _) -> {
            document.setMargins(0, 0, 0, 0);
            document.newPage();
            PdfPTable table = new PdfPTable(LABEL_COLUMNS);
            table.setWidthPercentage(100);
            for (List<String> lines : addresses) {
                PdfPCell cell = new PdfPCell(new Phrase(String.join("\n", lines), new Font(plain, 10)));
                cell.setFixedHeight(PageSize.A4.getHeight() / LABEL_ROWS);
                cell.setBorder(Rectangle.NO_BORDER);
                cell.setPadding(6 * MILLIMETRE);
                table.addCell(cell);
            }
            table.completeRow();
            document.add(table);
        });
    }

    /** A table with a heading, as wide as the page lies. */
    byte[] table(String heading, List<String> headers, float[] widths, List<List<String>> rows, String footer) {
        return print(Footer.of(footer), PageSize.A4.rotate(), (document, _) -> {
            document.add(new Paragraph(heading, new Font(bold, 13)));
            PdfPTable table = new PdfPTable(widths);
            table.setWidthPercentage(100);
            table.setSpacingBefore(8);
            headers.forEach(header -> table.addCell(new PdfPCell(new Phrase(header, new Font(bold, 9)))));
            table.setHeaderRows(1);
            for (List<String> row : rows) {
                row.forEach(cell -> table.addCell(new PdfPCell(new Phrase(cell, new Font(plain, 9)))));
            }
            document.add(table);
        });
    }

    /** @param above the lower edge of the page, in points, as its size is */
    private record Footer(String words, float size, float above) {
        static Footer of(String words) {
            return new Footer(words, 7, MARGIN / 2);
        }
    }

    private interface Writing {
        void on(Document document, PdfWriter writer);
    }

    private byte[] print(Footer footer, Rectangle page, Writing writing) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Document document = new Document(page, MARGIN, MARGIN, MARGIN, MARGIN)) {
            PdfWriter writer = PdfWriter.getInstance(document, bytes);
            writer.setPageEvent(new PdfPageEventHelper() {
                @Override
                public void onEndPage(PdfWriter at, Document of) {
                    ColumnText.showTextAligned(
                            at.getDirectContent(),
                            Element.ALIGN_LEFT,
                            new Phrase(footer.words(), new Font(plain, footer.size())),
                            MARGIN,
                            footer.above(),
                            0);
                }
            });
            document.open();
            writing.on(document, writer);
        }
        return bytes.toByteArray();
    }
}
