package dipstick.intake.files;

import dipstick.intake.rows.UnreadableRows;
import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;

/**
 * Takes apart what is packed: a file that is zipped or gzipped becomes the files that are in it. Nothing is written
 * under a name that stands in an archive, and what grows out of proportion is refused.
 */
public final class Packed {
    /** A table shrinks to a twentieth or so; what shrinks to less was made to fill the disk. */
    private static final long HIGHEST_RATIO = 200;

    /** A small file may be all alike. */
    private static final long ALWAYS_ALLOWED = 10_000_000;

    private static final int MOST_ENTRIES = 200;
    private static final long MOST_BYTES = 4_000_000_000L;

    private Packed() {}

    /** @param name as it was given, without folders */
    public record One(String name, Path file) {}

    /**
     * The files in a file; itself where it is not packed.
     *
     * @param folder where they go, under names of their own
     * @throws UnreadableRows where it cannot be taken apart, or holds too much
     */
    public static List<One> files(String name, Path file, Path folder) throws IOException {
        try {
            return switch (Kind.of(file)) {
                case GZIP -> List.of(gunzipped(name, file, folder));
                case ZIP -> unzipped(file, folder);
                default -> List.of(new One(name, file));
            };
        } catch (ZipException | java.io.EOFException broken) {
            throw new UnreadableRows(1, "The archive is damaged or cut off, so nothing in it can be trusted.");
        }
    }

    private static One gunzipped(String name, Path file, Path folder) throws IOException {
        Budget budget = new Budget(Files.size(file));
        try (InputStream in = new GZIPInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
            return new One(name.replaceFirst("(?i)\\.gz(ip)?$", ""), copied(in, folder, budget));
        }
    }

    private static List<One> unzipped(Path file, Path folder) throws IOException {
        List<One> files = new ArrayList<>();
        Budget budget = new Budget(Files.size(file));
        try (ZipInputStream zip = new ZipInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
            for (Optional<ZipEntry> entry = next(zip); entry.isPresent(); entry = next(zip)) {
                String name = lastOf(entry.get().getName());
                if (!entry.get().isDirectory() && !name.startsWith(".")) {
                    if (files.size() == MOST_ENTRIES) {
                        throw new UnreadableRows(1, "The archive holds more than " + MOST_ENTRIES + " files.");
                    }
                    files.add(new One(name, copied(zip, folder, budget)));
                }
            }
        }
        if (files.isEmpty()) {
            throw new UnreadableRows(1, "There is no file in the archive.");
        }
        return files;
    }

    private static Optional<ZipEntry> next(ZipInputStream zip) throws IOException {
        return Optional.ofNullable(zip.getNextEntry());
    }

    private static String lastOf(String path) {
        String[] parts = path.split("[/\\\\]");
        return parts.length == 0 ? "" : parts[parts.length - 1];
    }

    private static Path copied(InputStream in, Path folder, Budget budget) throws IOException {
        Path copy = Files.createTempFile(folder, "unpacked", ".part");
        try (OutputStream out = Files.newOutputStream(copy)) {
            new Counted(in, budget).transferTo(out);
        }
        return copy;
    }

    private static final class Budget {
        private final long most;
        private long used;

        Budget(long packed) {
            this.most = Math.min(MOST_BYTES, Math.max(ALWAYS_ALLOWED, packed * HIGHEST_RATIO));
        }

        void use(long bytes) {
            used += bytes;
            if (used > most) {
                throw new UnreadableRows(
                        1,
                        "The archive would become more than " + most / 1_000_000
                                + " megabytes, far more than a table of its size does. It was not taken apart further.");
            }
        }
    }

    private static final class Counted extends FilterInputStream {
        private final Budget budget;

        Counted(InputStream in, Budget budget) {
            super(in);
            this.budget = budget;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int read = super.read(bytes, from, length);
            if (read > 0) {
                budget.use(read);
            }
            return read;
        }
    }

    /** What a file is by its first bytes. */
    enum Kind {
        GZIP,
        ZIP,
        XLSX,
        ODS,
        OLD_WORKBOOK,
        /** Of which a person reads what stands there, and nothing else does. */
        PICTURE,
        PDF,
        TEXT;

        private static final int FIRST = 6;

        /** How PNG, JPEG, GIF and TIFF begin. */
        private static final List<String> PICTURES =
                List.of("\u0089PNG", "\u00FF\u00D8\u00FF", "GIF87a", "GIF89a", "II*\0", "MM\0*");

        static Kind of(Path file) throws IOException {
            byte[] bytes;
            try (InputStream in = Files.newInputStream(file)) {
                bytes = in.readNBytes(FIRST);
            }
            // A letter for each byte, whatever encoding it is in.
            String first = new String(bytes, StandardCharsets.ISO_8859_1);
            if (first.startsWith("\u001F\u008B")) {
                return GZIP;
            }
            if (first.startsWith("\u00D0\u00CF\u0011\u00E0")) {
                return OLD_WORKBOOK;
            }
            if (first.startsWith("%PDF-")) {
                return PDF;
            }
            if (PICTURES.stream().anyMatch(first::startsWith)) {
                return PICTURE;
            }
            return first.startsWith("PK\u0003\u0004") ? ofZip(file) : TEXT;
        }

        /** A workbook is a zip file with certain parts. */
        private static Kind ofZip(Path file) throws IOException {
            try (java.util.zip.ZipFile zip = new java.util.zip.ZipFile(file.toFile())) {
                if (zip.getEntry("xl/workbook.xml") != null) {
                    return XLSX;
                }
                return zip.getEntry("content.xml") != null && zip.getEntry("mimetype") != null ? ODS : ZIP;
            }
        }
    }
}
