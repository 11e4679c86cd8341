package dipstick.intake.files;

import dipstick.intake.files.RowsFile.How.Standard;
import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
        Map<Path, Standard> found = new LinkedHashMap<>();
        for (Path file : files) {
            if (RowsFile.of(file, RowsFile.Said.NOTHING).how() instanceof Standard standard) {
                found.put(file, standard);
            }
        }
        boolean ofOneFormat =
                found.values().stream().map(Standard::format).distinct().count() == 1;
        if (found.size() < files.size() || !ofOneFormat) {
            return Optional.empty();
        }
        Path together = Files.createTempFile(folder, "together", ".part");
        try (BufferedWriter out = Files.newBufferedWriter(together)) {
            for (Map.Entry<Path, Standard> one : found.entrySet()) {
                Charset charset = one.getValue().charset();
                try (Reader in =
                        new BufferedReader(new InputStreamReader(Files.newInputStream(one.getKey()), charset))) {
                    in.mark(1);
                    if (in.read() != MARK) {
                        in.reset();
                    }
                    in.transferTo(out);
                }
                // A blank line between them: so what is cut off at the end of one is told from a line that is broken.
                out.write("\n\n");
            }
        }
        return Optional.of(together);
    }
}
