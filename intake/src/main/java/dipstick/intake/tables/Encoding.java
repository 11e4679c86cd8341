package dipstick.intake.tables;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.mozilla.universalchardet.UniversalDetector;

/** Finds out in which encoding a text is, from the whole of it. */
public final class Encoding {
    private static final int BUFFER = 1 << 16;

    private static final Charset SINGLE_BYTE = Charset.forName("windows-1252");

    private Encoding() {}

    /** A mark decides; else it is UTF-8 if all of it can be; else what its letters look like. */
    public static Charset of(Path file) throws IOException {
        byte[] first;
        try (InputStream in = Files.newInputStream(file)) {
            first = in.readNBytes(4096);
        }
        if (startsWith(first, 0xFF, 0xFE)) {
            return StandardCharsets.UTF_16LE;
        }
        if (startsWith(first, 0xFE, 0xFF)) {
            return StandardCharsets.UTF_16BE;
        }
        if (looksWide(first)) {
            return wide(first);
        }
        return startsWith(first, 0xEF, 0xBB, 0xBF) || isUtf8(file) ? StandardCharsets.UTF_8 : detected(file);
    }

    /** Text in Latin letters without a mark in UTF-16 has a zero in every second byte. */
    private static boolean looksWide(byte[] first) {
        int zeros = 0;
        for (byte one : first) {
            zeros += one == 0 ? 1 : 0;
        }
        return first.length > 8 && zeros > first.length / 4;
    }

    private static Charset wide(byte[] first) {
        return first[0] == 0 ? StandardCharsets.UTF_16BE : StandardCharsets.UTF_16LE;
    }

    private static boolean startsWith(byte[] bytes, int... mark) {
        if (bytes.length < mark.length) {
            return false;
        }
        for (int i = 0; i < mark.length; i++) {
            if ((bytes[i] & 0xFF) != mark[i]) {
                return false;
            }
        }
        return true;
    }

    private static boolean isUtf8(Path file) throws IOException {
        CharsetDecoder decoder = StandardCharsets.UTF_8
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT);
        byte[] chunk = new byte[BUFFER];
        ByteBuffer bytes = ByteBuffer.allocate(BUFFER + 8);
        CharBuffer chars = CharBuffer.allocate(BUFFER + 8);
        try (InputStream in = Files.newInputStream(file)) {
            for (int read = in.read(chunk); read >= 0; read = in.read(chunk)) {
                bytes.put(chunk, 0, read).flip();
                CoderResult result = decoder.decode(bytes, chars.clear(), false);
                if (result.isError()) {
                    return false;
                }
                bytes.compact();
            }
        }
        // A file that is cut off within a letter is UTF-8 all the same.
        return true;
    }

    private static Charset detected(Path file) throws IOException {
        UniversalDetector detector = new UniversalDetector();
        byte[] chunk = new byte[BUFFER];
        try (InputStream in = Files.newInputStream(file)) {
            for (int read = in.read(chunk); read > 0 && !detector.isDone(); read = in.read(chunk)) {
                detector.handleData(chunk, 0, read);
            }
        }
        detector.dataEnd();
        String name = detector.getDetectedCharset();
        boolean usable = name != null
                && Charset.isSupported(name)
                && !Charset.forName(name).equals(StandardCharsets.UTF_8);
        return usable ? Charset.forName(name) : SINGLE_BYTE;
    }
}
