package dipstick.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application in a process of its own, as {@code ./dipstick serve} and {@code demo} start it. */
final class RunningApplication implements AutoCloseable {
    private static final String SERVER = "../server/target/server-0.1.0.jar";
    private static final String DEMO = "../demo/target/demo-0.1.0.jar";
    private static final Duration LONGEST_START = Duration.ofMinutes(15);
    private static final Pattern CODE = Pattern.compile("creating the first one: (\\S+)");

    private final Process process;
    private final List<String> output = new CopyOnWriteArrayList<>();
    private final String address;

    private RunningApplication(Process process, int port) {
        this.process = process;
        this.address = "http://localhost:" + port;
        Thread.ofVirtual().start(this::gatherOutput);
    }

    static RunningApplication start(Path data, String... settings) throws IOException, InterruptedException {
        int port = freePort();
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                // As for all tests: it ends before a second compilation would pay (docs/decisions/0058).
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                List.of(settings).contains("--dipstick.demo=true") ? SERVER + ":" + DEMO : SERVER,
                "dipstick.server.DipstickApplication",
                "--dipstick.data=" + data.toAbsolutePath(),
                "--server.port=" + port));
        command.addAll(List.of(settings));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        RunningApplication application = new RunningApplication(process, port);
        application.awaitAnswer();
        return application;
    }

    String address() {
        return address;
    }

    /** The code that the server printed for creating the first account. */
    String firstAccountCode() {
        return output.stream()
                .map(CODE::matcher)
                .filter(Matcher::find)
                .map(found -> found.group(1))
                .findFirst()
                .orElseThrow(() -> new AssertionError("No code was printed: " + output));
    }

    List<String> output() {
        return output;
    }

    private void gatherOutput() {
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            lines.lines().forEach(output::add);
        } catch (IOException killed) {
            output.add("The output ended: " + killed.getMessage());
        }
    }

    private void awaitAnswer() throws InterruptedException {
        Instant end = Instant.now().plus(LONGEST_START);
        HttpRequest request =
                HttpRequest.newBuilder(URI.create(address + "/api/session")).build();
        try (HttpClient client = HttpClient.newHttpClient()) {
            while (Instant.now().isBefore(end) && process.isAlive()) {
                try {
                    if (client.send(request, HttpResponse.BodyHandlers.discarding())
                                    .statusCode()
                            == 200) {
                        return;
                    }
                } catch (IOException notYet) {
                    // The port is not open before everything is ready.
                }
                Thread.sleep(200);
            }
        }
        throw new AssertionError("The application did not start: " + output);
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    /** Ends it as a power cut would: nothing is told to it. */
    void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
