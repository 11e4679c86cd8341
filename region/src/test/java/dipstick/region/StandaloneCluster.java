package dipstick.region;

import java.io.File;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** A Spark master and two workers, each a process of its own, on the loopback address. */
final class StandaloneCluster implements AutoCloseable {
    private static final int WAITED_S = 60;

    /** What is as short as a test is over before it would be compiled a second time. */
    private static final List<String> SHORT_LIVED = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");

    private final Path home;
    private final int port;
    private final List<Process> processes = new ArrayList<>();

    private StandaloneCluster(Path home, int port) {
        this.home = home;
        this.port = port;
    }

    static StandaloneCluster start(Path folder) throws IOException, InterruptedException {
        Path home = Files.createDirectories(folder.resolve("spark"));
        Files.writeString(home.resolve("RELEASE"), "Spark for tests\n");
        Path jars = Files.createDirectories(home.resolve("jars"));
        Set<String> entries = new LinkedHashSet<>(
                List.of(System.getProperty("java.class.path").split(File.pathSeparator)));
        for (String entry : entries) {
            Path jar = Path.of(entry).toAbsolutePath();
            // What is not Spark's comes with what is asked.
            if (entry.endsWith(".jar")
                    && !Cluster.ours().contains(jar.normalize().toUri().toURL().toString())) {
                Files.createSymbolicLink(jars.resolve(jar.getFileName()), jar);
            }
        }
        System.setProperty("spark.executor.extraJavaOptions", String.join(" ", SHORT_LIVED));
        int port = freePort();
        StandaloneCluster cluster = new StandaloneCluster(home, port);
        cluster.run("master", "org.apache.spark.deploy.master.Master", "--webui-port", "0", "--port", "" + port);
        cluster.await("master", "I have been elected leader");
        for (int worker = 1; worker <= 2; worker++) {
            cluster.run(
                    "worker" + worker,
                    "org.apache.spark.deploy.worker.Worker",
                    "--cores",
                    "1",
                    "--memory",
                    "1g",
                    "--webui-port",
                    "0",
                    "--work-dir",
                    home.resolve("work" + worker).toString(),
                    cluster.master());
        }
        cluster.await("worker1", "Successfully registered");
        cluster.await("worker2", "Successfully registered");
        return cluster;
    }

    String master() {
        return "spark://127.0.0.1:" + port;
    }

    private static int freePort() throws IOException {
        try (ServerSocket any = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return any.getLocalPort();
        }
    }

    private void run(String name, String main, String... arguments) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--add-opens=java.base/java.lang=ALL-UNNAMED",
                "--add-opens=java.base/java.nio=ALL-UNNAMED",
                "--add-opens=java.base/java.util=ALL-UNNAMED",
                "--add-opens=java.base/sun.nio.ch=ALL-UNNAMED",
                "--sun-misc-unsafe-memory-access=allow",
                "-Dregion.log=info",
                "-cp",
                home.resolve("jars") + "/*",
                main,
                "--host",
                "127.0.0.1"));
        command.addAll(1, SHORT_LIVED);
        command.addAll(List.of(arguments));
        ProcessBuilder process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(home.resolve(name + ".log").toFile());
        process.environment().put("SPARK_HOME", home.toString());
        process.environment().put("SPARK_SCALA_VERSION", "2.13");
        process.environment().put("SPARK_LOCAL_IP", "127.0.0.1");
        processes.add(process.start());
    }

    private void await(String name, String words) throws IOException, InterruptedException {
        Path log = home.resolve(name + ".log");
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(WAITED_S);
        while (!Files.readString(log).contains(words)) {
            if (System.nanoTime() > end) {
                throw new IOException(name + " did not start: " + Files.readString(log));
            }
            Thread.sleep(100);
        }
    }

    /** Waits until the last application that was started has an executor with work done at the second worker. */
    void awaitWorkAtTheSecond(long applicationsBefore) throws IOException, InterruptedException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(WAITED_S);
        while (applications() <= applicationsBefore) {
            if (System.nanoTime() > end) {
                throw new IOException("Nothing was begun at the second worker");
            }
            Thread.sleep(50);
        }
    }

    /** How many applications have begun at the second worker. */
    long applications() throws IOException {
        Path work = home.resolve("work2");
        if (!Files.isDirectory(work)) {
            return 0;
        }
        try (Stream<Path> all = Files.list(work)) {
            return all.count();
        }
    }

    /** Kills the second worker with what runs under it, as a machine that is gone. */
    void killSecondWorker() {
        Process worker = processes.getLast();
        worker.descendants().forEach(ProcessHandle::destroyForcibly);
        worker.destroyForcibly();
    }

    @Override
    public void close() {
        processes.reversed().forEach(process -> {
            process.descendants().forEach(ProcessHandle::destroyForcibly);
            process.destroyForcibly();
        });
    }
}
