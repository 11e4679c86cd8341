package dipstick.command;

import dipstick.core.criteria.InvalidCriteria;
import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Files of criteria sets, as they are named at the command line. */
public final class CriteriaFiles {
    private CriteriaFiles() {}

    /** What stands in a file; nothing where it cannot be read, with a problem more that says why. */
    public static Optional<String> text(Path path, List<String> problems) {
        try {
            return Optional.of(Files.readString(path));
        } catch (NoSuchFileException missing) {
            problems.add(path + ": there is no such file.");
        } catch (MalformedInputException notText) {
            problems.add(path + ": this is not text in UTF-8.");
        } catch (IOException unreadable) {
            problems.add(path + ": it cannot be read: " + unreadable.getMessage());
        }
        return Optional.empty();
    }

    /** What is wrong, by file and spot, a sentence each. */
    public static List<String> said(InvalidCriteria invalid) {
        return invalid.problems().entrySet().stream()
                .flatMap(file -> file.getValue().stream().map(problem -> {
                    String spot = problem.pointer().isEmpty() ? "(whole document)" : problem.pointer();
                    return file.getKey() + ": " + spot + ": " + problem.message();
                }))
                .toList();
    }
}
