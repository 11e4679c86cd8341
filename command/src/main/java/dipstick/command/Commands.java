package dipstick.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The commands that need no server: {@code ./dipstick evaluate} and {@code ./dipstick convert}. */
@Command(name = "dipstick")
public final class Commands {
    public static final int RAN = 0;
    public static final int BAD_INPUT = 2;

    private Commands() {}

    public static void main(String[] arguments) {
        PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
        PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
        System.exit(run(out, err, arguments));
    }

    static int run(PrintWriter out, PrintWriter err, String... arguments) {
        return new CommandLine(new Commands())
                .addSubcommand(new Evaluate(out, err))
                .addSubcommand(new Convert(out, err))
                .setErr(err)
                .setOut(out)
                .setCaseInsensitiveEnumValuesAllowed(true)
                .execute(arguments);
    }

    /** Whether a file can be read; else there is a line more that says so. */
    static boolean isThere(Path path, List<String> problems) {
        boolean there = Files.isReadable(path) && !Files.isDirectory(path);
        if (!there) {
            problems.add(path + ": there is no such file, or it may not be read.");
        }
        return there;
    }

    /** Writes a text to a file, or prints it where none is named; the exit status. */
    public static int answer(Optional<Path> file, String text, PrintWriter out, PrintWriter err) {
        if (file.isPresent()) {
            return write(file.get(), text, err) ? RAN : BAD_INPUT;
        }
        out.print(text);
        out.flush();
        return RAN;
    }

    /** Writes a file as a whole or not at all; false, with a line that says why, where that is refused. */
    private static boolean write(Path file, String text, PrintWriter err) {
        Path target = file.toAbsolutePath();
        try {
            Path whole = Files.createTempFile(target.getParent(), ".dipstick", ".part");
            Files.writeString(whole, text);
            Files.move(whole, target, StandardCopyOption.REPLACE_EXISTING);
            return true;
        } catch (IOException refused) {
            err.println(target + ": it cannot be written: " + refused.getMessage());
            return false;
        }
    }
}
