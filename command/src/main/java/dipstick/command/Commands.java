package dipstick.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The commands that need no server: {@code ./dipstick evaluate} and {@code ./dipstick convert}. */
@Command(name = "dipstick")
public final class Commands {
    static final int RAN = 0;
    static final int BAD_INPUT = 2;

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

    /** Writes a file as a whole or not at all; false, with a line that says why, where that is refused. */
    static boolean write(Path file, String text, PrintWriter err) {
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
