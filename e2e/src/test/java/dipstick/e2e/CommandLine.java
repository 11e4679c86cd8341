package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;

/** The packaged command line, over the records of the conformance kit. */
final class CommandLine {
    static final Path KIT = Path.of("../core/src/test/resources/conformance");

    private CommandLine() {}

    /** The lines that it prints of a case of the conformance kit. */
    static List<String> evaluated(String criteria) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-jar",
                        "../command/target/command-0.1.0.jar",
                        "evaluate",
                        "--people",
                        KIT.resolve("people.csv").toString(),
                        "--events",
                        KIT.resolve("events.csv").toString(),
                        "--criteria",
                        KIT.resolve("cases/" + criteria).toString(),
                        "--as-of",
                        "2026-08-31",
                        "--zone",
                        "Europe/Lisbon")
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).isZero();
        return printed.lines().toList();
    }
}
