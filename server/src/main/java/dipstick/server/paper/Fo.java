package dipstick.server.paper;

import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.xml.sax.ContentHandler;
import org.xml.sax.SAXException;
import org.xml.sax.helpers.AttributesImpl;

/** Writes formatting objects (XSL 1.1), as events: no text is ever taken for markup. Lengths are in millimetres. */
final class Fo {
    private static final String NAMESPACE = "http://www.w3.org/1999/XSL/Format";
    private static final String EXTENSIONS = "http://xmlgraphics.apache.org/fop/extensions";

    private final ContentHandler to;
    private final Typefaces faces;

    Fo(ContentHandler to, Typefaces faces) {
        this.to = to;
        this.faces = faces;
    }

    /** What stands inside an element. */
    interface Content {
        void write(Fo fo) throws SAXException;

        Content NONE = _ -> {};
    }

    void element(String name, Map<String, String> properties, Content inside) throws SAXException {
        AttributesImpl attributes = new AttributesImpl();
        new TreeMap<>(properties)
                .forEach((key, value) -> attributes.addAttribute(namespace(key), local(key), key, "CDATA", value));
        to.startElement(NAMESPACE, name, "fo:" + name, attributes);
        inside.write(this);
        to.endElement(NAMESPACE, name, "fo:" + name);
    }

    private static String namespace(String key) {
        return key.startsWith("fox:")
                ? EXTENSIONS
                : key.startsWith("xml:") ? "http://www.w3.org/XML/1998/namespace" : "";
    }

    private static String local(String key) {
        return key.substring(key.indexOf(':') + 1);
    }

    /** Each stretch of a script in the typeface that has it. Marks and spaces go on with what is before them. */
    void text(String text) throws SAXException {
        String set = Typefaces.set(text);
        int from = 0;
        String face = Typefaces.FIRST;
        for (int at = 0; at < set.length(); at++) {
            char here = set.charAt(at);
            String own = goesOn(here) ? face : faces.faceOf(here);
            if (!own.equals(face)) {
                run(set.substring(from, at), face);
                from = at;
                face = own;
            }
        }
        run(set.substring(from), face);
    }

    private static boolean goesOn(char here) {
        int type = Character.getType(here);
        return type == Character.NON_SPACING_MARK || type == Character.COMBINING_SPACING_MARK || here == ' ';
    }

    private void run(String text, String face) throws SAXException {
        if (face.equals(Typefaces.FIRST)) {
            characters(text);
        } else {
            element("inline", Map.of("font-family", face), _ -> characters(text));
        }
    }

    private void characters(String text) throws SAXException {
        to.characters(text.toCharArray(), 0, text.length());
    }

    /** A line that begins where the others do, whichever way it is written. */
    void line(Map<String, String> properties, String text) throws SAXException {
        element("block", properties, inside -> inside.text(text));
    }

    /** A paragraph; from right to left where its first letter is written so. */
    void block(Map<String, String> properties, String text) throws SAXException {
        Content block = fo -> fo.element("block", properties, inside -> inside.text(text));
        if (isRightToLeft(text)) {
            element("block-container", Map.of("writing-mode", "rl-tb"), block);
        } else {
            block.write(this);
        }
    }

    /** A part of the page at a fixed place, from its upper left corner. */
    void at(double left, double top, double width, double height, Content inside) throws SAXException {
        element(
                "block-container",
                Map.of(
                        "absolute-position", "absolute",
                        "left", mm(left),
                        "top", mm(top),
                        "width", mm(width),
                        "height", mm(height)),
                inside);
    }

    static String mm(double length) {
        return String.format(Locale.ROOT, "%.2fmm", length);
    }

    static String pt(double size) {
        return String.format(Locale.ROOT, "%.1fpt", size);
    }

    private static boolean isRightToLeft(String text) {
        return text.codePoints()
                        .map(Character::getDirectionality)
                        .filter(one -> one == Character.DIRECTIONALITY_LEFT_TO_RIGHT
                                || one == Character.DIRECTIONALITY_RIGHT_TO_LEFT
                                || one == Character.DIRECTIONALITY_RIGHT_TO_LEFT_ARABIC)
                        .findFirst()
                        .orElse(Character.DIRECTIONALITY_LEFT_TO_RIGHT)
                != Character.DIRECTIONALITY_LEFT_TO_RIGHT;
    }
}
