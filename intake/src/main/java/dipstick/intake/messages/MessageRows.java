package dipstick.intake.messages;

import ca.uhn.hl7v2.HL7Exception;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Optional;
import java.util.Queue;

/**
 * HL7 v2 messages, 2.3 to 2.5.1, as rows: one for the person of whom a message is, one for each record in it, and one that
 * says so for each message that is not read. The line of a row is that of its segment.
 */
public final class MessageRows implements Rows {
    private static final List<OwnColumn> DATES =
            List.of(OwnColumn.BIRTH_DATE, OwnColumn.DECEASED_ON, OwnColumn.ON, OwnColumn.UNTIL, OwnColumn.RECORDED_ON);

    private final MessageTexts texts;
    private final Queue<Row> ready = new ArrayDeque<>();

    private MessageRows(MessageTexts texts) {
        this.texts = texts;
        ready.add(OwnRow.header());
    }

    public static MessageRows open(Path file, Charset charset) throws IOException {
        return new MessageRows(MessageTexts.open(file, charset));
    }

    @Override
    public Optional<Row> next() throws IOException {
        while (ready.isEmpty()) {
            Optional<MessageTexts.Text> text = texts.next();
            if (text.isEmpty()) {
                return Optional.empty();
            }
            read(text.get());
        }
        return Optional.of(ready.remove());
    }

    private void read(MessageTexts.Text text) {
        long line = text.lines().getFirst().line();
        try {
            MessageRecords.of(Message.of(text)).forEach(read -> {
                DATES.forEach(column ->
                        read.row().put(column, Timestamp.asIso(read.row().get(column))));
                ready.add(read.row().at(read.line()));
            });
        } catch (HL7Exception unreadable) {
            ready.add(OwnRow.of("message")
                    .passedOver("Message that cannot be read: " + unreadable.getMessage())
                    .at(line));
        }
    }

    @Override
    public void close() throws IOException {
        texts.close();
    }
}
