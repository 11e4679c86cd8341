package dipstick.intake.files;

import dipstick.intake.describe.FileFormat;
import dipstick.intake.tables.Encoding;
import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * Several files of one export as one: those of a format whose files may be written one after another, so that what one of
 * them refers to is found in another.
 */
public final class Together {
    private static final char MARK = '\uFEFF';

    private Together() {}

    /**
     * The files in one, or nothing where they are tables or of several formats.
     *
     * @param folder where it goes
     */
    public static Optional<Path> of(List<Path> files, Path folder) throws IOException {
        Optional<FileFormat> format = Optional.empty();
        for (Path file : files) {
            FileFormat own = RowsFile.of(file, RowsFile.Said.NOTHING).format();
            if (own == FileFormat.TABLE || format.filter(other -> other != own).isPresent()) {
                return Optional.empty();
            }
            format = Optional.of(own);
        }
        if (format.isEmpty()) {
            return Optional.empty();
        }
        Path together = Files.createTempFile(folder, "together", ".part");
        try (BufferedWriter out = Files.newBufferedWriter(together)) {
            for (Path file : files) {
                Charset charset = Encoding.of(file);
                try (Reader in = new BufferedReader(new InputStreamReader(Files.newInputStream(file), charset))) {
                    in.mark(1);
                    if (in.read() != MARK) {
                        in.reset();
                    }
                    in.transferTo(out);
                }
                out.write("\n");
            }
        }
        return Optional.of(together);
    }
}
