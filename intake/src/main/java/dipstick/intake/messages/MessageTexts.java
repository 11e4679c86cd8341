package dipstick.intake.messages;

import java.io.BufferedReader;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The messages of a file one by one, whatever ends their segments, with the blocks of MLLP or in a batch (HL7 v2.5.1 chapter
 * 2.10) or not.
 */
final class MessageTexts implements Closeable {
    private static final String BEGIN = "MSH";

    private static final List<String> AROUND = List.of("FHS", "BHS", "BTS", "FTS");

    private final BufferedReader text;
    private long line;
    private String ahead = "";

    /** @param lines its segments, each with its line in the file */
    record Text(List<Line> lines) {
        Text {
            lines = List.copyOf(lines);
        }
    }

    record Line(long line, String text) {}

    private MessageTexts(BufferedReader text) {
        this.text = text;
    }

    static MessageTexts open(Path file, Charset charset) throws IOException {
        return new MessageTexts(
                new BufferedReader(new InputStreamReader(Files.newInputStream(file), charset), 1 << 16));
    }

    Optional<Text> next() throws IOException {
        List<Line> lines = new ArrayList<>();
        if (!ahead.isEmpty()) {
            lines.add(new Line(line, ahead));
            ahead = "";
        }
        for (String read = text.readLine(); read != null; read = text.readLine()) {
            line++;
            String segment = withoutBlocks(read);
            if (segment.startsWith(BEGIN) && !lines.isEmpty()) {
                ahead = segment;
                return Optional.of(new Text(lines));
            }
            if (!segment.isBlank() && AROUND.stream().noneMatch(segment::startsWith)) {
                lines.add(new Line(line, segment));
            }
        }
        return lines.isEmpty() ? Optional.empty() : Optional.of(new Text(lines));
    }

    private static String withoutBlocks(String segment) {
        return segment.replace("\u000B", "").replace("\u001C", "").replace("\uFEFF", "");
    }

    @Override
    public void close() throws IOException {
        text.close();
    }
}
