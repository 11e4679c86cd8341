package dipstick.intake.messages;

import ca.uhn.hl7v2.HL7Exception;
import ca.uhn.hl7v2.parser.DefaultEscaping;
import ca.uhn.hl7v2.parser.EncodingCharacters;
import ca.uhn.hl7v2.parser.Escaping;
import dipstick.core.text.Shortened;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The answer to a message (HL7 v2.5.1 chapter 2.9): that it is kept, or why it is not. */
public final class Acknowledgement {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("uuuuMMddHHmmss");
    private static final EncodingCharacters USUAL = new EncodingCharacters('|', "^~\\&");
    private static final Escaping ESCAPING = new DefaultEscaping();
    private static final int LONGEST_REASON = 200;

    private Acknowledgement() {}

    /** Of whom and what a message says that it is. */
    public record About(String from, String type, String controlId, String charset) {}

    /** @param message whatever came */
    public static About about(String message) {
        return header(message)
                .map(header -> new About(
                        header.get(3) + (header.get(4).isEmpty() ? "" : " " + header.get(4)),
                        header.get(9, 1) + (header.get(9, 2).isEmpty() ? "" : " " + header.get(9, 2)),
                        header.get(10),
                        header.get(18)))
                .orElse(new About("", "", "", ""));
    }

    /**
     * AA, or AE with the reason.
     *
     * @param refused why nothing of it was kept; where it is nothing, all of it was
     * @param now in the practice's time zone
     */
    public static String of(String message, Optional<String> refused, LocalDateTime now) {
        Optional<Segment> header = header(message);
        String type = header.map(one -> one.get(9, 2))
                .filter(trigger -> !trigger.isEmpty())
                .map(trigger -> "ACK^" + trigger)
                .orElse("ACK");
        return segment(
                        "MSH|^~\\&",
                        said(header, 5),
                        said(header, 6),
                        said(header, 3),
                        said(header, 4),
                        TIME.format(now),
                        "",
                        type,
                        "A" + said(header, 10),
                        header.map(one -> one.get(11))
                                .filter(id -> !id.isEmpty())
                                .orElse("P"),
                        header.map(one -> one.get(12))
                                .filter(version -> !version.isEmpty())
                                .orElse("2.5.1"))
                + segment(
                        "MSA",
                        refused.isEmpty() ? "AA" : "AE",
                        said(header, 10),
                        refused.map(Acknowledgement::plain).orElse(""));
    }

    private static String segment(String... fields) {
        return Arrays.stream(fields).collect(Collectors.joining("|")) + "\r";
    }

    private static String said(Optional<Segment> header, int field) {
        return header.map(one -> ESCAPING.escape(one.get(field), USUAL)).orElse("");
    }

    private static String plain(String reason) {
        String line = reason.replaceAll("\\s+", " ");
        return ESCAPING.escape(Shortened.toldSo(LONGEST_REASON, line), USUAL);
    }

    private static Optional<Segment> header(String message) {
        String first = message.strip().split("[\r\n]", 2)[0];
        try {
            return Optional.of(Message.of(new MessageTexts.Text(List.of(new MessageTexts.Line(1, first))))
                    .header());
        } catch (HL7Exception noHeader) {
            return Optional.empty();
        }
    }
}
