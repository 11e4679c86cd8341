package dipstick.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The stream of somebody at a desk: what it tells is looked at soon, and what comes meanwhile afterwards, at once. */
final class Listening {
    private static final Pattern TOUCHED = Pattern.compile("\\{\"list\":\"([^\"]+)\"[^}]*?\"people\":\\[([^]]*)]");
    private static final Pattern PERSON = Pattern.compile("\"([^\"]+)\"");

    /** As a page does, which reads once what comes at once. */
    private static final int TOGETHER_MS = 250;

    private final Colleague colleague;
    private final String list;
    private final Seen seen;
    private final AtomicInteger failures;
    private final Semaphore news = new Semaphore(0);

    Listening(Colleague colleague, String list, Seen seen, AtomicInteger failures) {
        this.colleague = colleague;
        this.list = list;
        this.seen = seen;
        this.failures = failures;
    }

    /** Until the stream is closed. */
    void go() {
        Thread looking = Thread.startVirtualThread(this::look);
        String event = "";
        try (Stream<String> lines = colleague.told()) {
            for (String line : (Iterable<String>) lines::iterator) {
                if (line.startsWith("event:")) {
                    event = line.substring("event:".length()).strip();
                } else if (line.startsWith("data:") && event.equals("lists")) {
                    told(line);
                }
            }
        } catch (UncheckedIOException | IOException closed) {
            failed(closed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } finally {
            looking.interrupt();
        }
    }

    /** Unless the colleague went home. */
    private void failed(Exception failure) {
        if (!colleague.isGone()) {
            failures.incrementAndGet();
            System.err.println("The stream ended: " + failure);
        }
    }

    private void told(String data) {
        Matcher touched = TOUCHED.matcher(data);
        while (touched.find()) {
            Matcher person = PERSON.matcher(touched.group(2));
            while (person.find()) {
                seen.heard(touched.group(1), person.group(1));
            }
        }
        news.release();
    }

    private void look() {
        try {
            while (true) {
                news.acquire();
                Thread.sleep(TOGETHER_MS);
                news.drainPermits();
                colleague.desk(list);
                colleague.rack();
                colleague.today();
            }
        } catch (IOException failure) {
            failed(failure);
        } catch (InterruptedException gone) {
            Thread.currentThread().interrupt();
        }
    }
}
