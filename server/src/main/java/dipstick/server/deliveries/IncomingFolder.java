package dipstick.server.deliveries;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The files in the folder of arrivals: {@code INTAKE/FILE} as another system puts it there, then {@code INTAKE/taken/FILE} or
 * {@code INTAKE/waiting/FILE}, each with its report beside it. Links are not followed, and no name leads out of it.
 */
final class IncomingFolder {
    static final String REPORT = ".report.json";

    private static final String TAKEN = "taken";
    private static final String WAITING = "waiting";
    private static final String PUT_AWAY = "put-away";

    private static final JsonMapper JSON = JsonMapper.shared();

    /** An intake with another id has no folder of its own. */
    private static final Pattern PLAIN = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N}_-]{0,99}");

    private final Path root;
    private Map<Path, Seen> before = new HashMap<>();

    private record Seen(long bytes, Instant changed) {}

    /** @param intake the id of the intake in whose folder it lies */
    record Arrived(String intake, Path file) {
        String fileName() {
            return String.valueOf(file.getFileName());
        }
    }

    /**
     * A file that waits for a person.
     *
     * @param id the same as long as it lies there
     * @param report what was found out of it when it came
     */
    record Waiting(String id, String intake, Path file, Instant since, JsonNode report) {
        String fileName() {
            return String.valueOf(file.getFileName());
        }
    }

    IncomingFolder(Path root) {
        this.root = root;
    }

    /** Makes a folder for each of these intakes, so that it is seen where files go. */
    void makeRoom(List<String> intakes) throws IOException {
        for (String intake : intakes) {
            if (PLAIN.matcher(intake).matches()) {
                Files.createDirectories(root.resolve(intake));
            }
        }
    }

    /** Files that are as they were at the last look; what still grows is left alone. */
    List<Arrived> settled() throws IOException {
        Map<Path, Seen> now = new HashMap<>();
        for (Path folder : below(root)) {
            if (isFolder(folder)) {
                for (Path file : below(folder)) {
                    if (Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS) && !isOnItsWay(file)) {
                        BasicFileAttributes about = Files.readAttributes(file, BasicFileAttributes.class);
                        now.put(
                                file,
                                new Seen(about.size(), about.lastModifiedTime().toInstant()));
                    }
                }
            }
        }
        Set<Path> settled = new HashSet<>(now.keySet());
        settled.removeIf(file -> !now.get(file).equals(before.get(file)));
        before = now;
        return settled.stream()
                .sorted()
                .map(file -> new Arrived(nameOf(folderOf(file)), file))
                .toList();
    }

    /** What is still being written often has such a name. */
    private static boolean isOnItsWay(Path file) {
        String name = nameOf(file);
        return name.startsWith(".") || name.endsWith(".part") || name.endsWith(".tmp") || name.endsWith(REPORT);
    }

    void taken(Arrived one, Map<String, Object> report) throws IOException {
        move(one.file(), folderOf(one.file()).resolve(TAKEN), report);
    }

    void waits(Arrived one, Map<String, Object> report) throws IOException {
        move(one.file(), folderOf(one.file()).resolve(WAITING), report);
    }

    /** A person took it after all. */
    void takenAfterAll(Waiting one, Map<String, Object> report) throws IOException {
        Files.deleteIfExists(reportOf(one.file()));
        move(one.file(), folderOf(folderOf(one.file())).resolve(TAKEN), report);
    }

    /** A person does not want it; it is kept, and no longer waits. */
    void putAway(Waiting one) throws IOException {
        Path away = Files.createDirectories(folderOf(folderOf(one.file())).resolve(PUT_AWAY));
        Path free = free(away.resolve(one.fileName()));
        Files.move(one.file(), free);
        if (Files.exists(reportOf(one.file()))) {
            Files.move(reportOf(one.file()), reportOf(free));
        }
    }

    /** The oldest first. */
    List<Waiting> waiting() throws IOException {
        List<Waiting> waiting = new ArrayList<>();
        for (Path intake : below(root)) {
            Path folder = intake.resolve(WAITING);
            for (Path file : isFolder(intake) && isFolder(folder) ? below(folder) : List.<Path>of()) {
                if (Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS) && !isOnItsWay(file)) {
                    waiting.add(new Waiting(
                            UUID.nameUUIDFromBytes(
                                            root.relativize(file).toString().getBytes(StandardCharsets.UTF_8))
                                    .toString(),
                            nameOf(intake),
                            file,
                            Files.getLastModifiedTime(file).toInstant(),
                            report(file)));
                }
            }
        }
        waiting.sort(Comparator.comparing(Waiting::since));
        return List.copyOf(waiting);
    }

    Optional<Waiting> waiting(String id) throws IOException {
        return waiting().stream().filter(one -> one.id().equals(id)).findFirst();
    }

    private static JsonNode report(Path file) throws IOException {
        Path report = reportOf(file);
        return Files.exists(report) ? JSON.readTree(Files.readString(report)) : JSON.createObjectNode();
    }

    private static void move(Path file, Path folder, Map<String, Object> report) throws IOException {
        Files.createDirectories(folder);
        Path free = free(folder.resolve(nameOf(file)));
        // The report first: where there is no room for it, the file stays where it is and is tried again.
        Files.writeString(reportOf(free), JSON.writerWithDefaultPrettyPrinter().writeValueAsString(report));
        Files.move(file, free);
    }

    /** No earlier file of the same name is lost. */
    private static Path free(Path wanted) {
        Path free = wanted;
        for (int number = 2; Files.exists(free, LinkOption.NOFOLLOW_LINKS); number++) {
            free = wanted.resolveSibling(number + " " + nameOf(wanted));
        }
        return free;
    }

    private static Path reportOf(Path file) {
        return file.resolveSibling(nameOf(file) + REPORT);
    }

    private static boolean isFolder(Path path) {
        return Files.isDirectory(path, LinkOption.NOFOLLOW_LINKS);
    }

    private static List<Path> below(Path folder) throws IOException {
        if (!isFolder(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.sorted().toList();
        }
    }

    private static String nameOf(Path path) {
        return String.valueOf(path.getFileName());
    }

    private static Path folderOf(Path file) {
        return Objects.requireNonNull(file.getParent());
    }
}
