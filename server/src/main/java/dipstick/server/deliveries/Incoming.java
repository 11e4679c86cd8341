package dipstick.server.deliveries;

import dipstick.intake.describe.Intake;
import dipstick.server.deliveries.Delivery.State;
import dipstick.server.deliveries.IncomingFolder.Arrived;
import dipstick.server.deliveries.IncomingFolder.Waiting;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Takes files that other systems put into the folder of an intake: one that has stopped growing is tried, and taken where
 * nothing about it is strange; else it waits for a person. Then it is moved, with a report beside it.
 */
@Service
class Incoming {
    private static final Logger LOG = LoggerFactory.getLogger(Incoming.class);

    /** The one who takes what comes by itself; no account can have this name. */
    private static final String ITSELF = "dipstick";

    private final Deliveries deliveries;
    private final Intakes intakes;
    private final Today today;
    private final IncomingFolder folder;
    private final Map<Delivery, Arrived> underWay = new LinkedHashMap<>();
    private final Map<Delivery, Waiting> lookedAt = new ConcurrentHashMap<>();

    Incoming(
            Deliveries deliveries, Intakes intakes, Today today, IncomingSettings settings, PracticeSettings practice) {
        this.deliveries = deliveries;
        this.intakes = intakes;
        this.today = today;
        this.folder = new IncomingFolder(settings.in(practice));
    }

    @Scheduled(fixedDelayString = "${dipstick.incoming.every}")
    void look() {
        try {
            folder.makeRoom(intakes.ids());
            for (Map.Entry<Delivery, Arrived> one : List.copyOf(underWay.entrySet())) {
                goOnOrTryAgain(one.getKey(), one.getValue());
            }
            for (Map.Entry<Delivery, Waiting> one : List.copyOf(lookedAt.entrySet())) {
                followPerson(one.getKey(), one.getValue());
            }
            for (Arrived arrived : folder.settled()) {
                if (!underWay.containsValue(arrived)) {
                    begin(arrived);
                }
            }
        } catch (IOException | RuntimeException failure) {
            // What lies there is looked at again next time.
            LOG.warn("The folder of arrivals could not be looked at", failure);
        }
    }

    private void begin(Arrived arrived) throws IOException {
        Optional<Intake> intake = intakes.inForce(arrived.intake());
        if (intake.isEmpty()) {
            folder.waits(arrived, report(List.of("There is no intake “" + arrived.intake() + "” here.")));
            return;
        }
        if (deliveries.isFull()) {
            return;
        }
        try (InputStream bytes = Files.newInputStream(arrived.file())) {
            underWay.put(deliveries.receive(arrived.fileName(), bytes, intake), arrived);
        }
    }

    /** One that cannot be moved on keeps no other waiting; it is tried again, or let go where its file went away. */
    private void goOnOrTryAgain(Delivery one, Arrived arrived) throws IOException {
        try {
            goOn(one, arrived);
        } catch (IOException | RuntimeException failure) {
            LOG.warn("A file that arrived could not be moved on", failure);
            if (!Files.exists(arrived.file())) {
                underWay.remove(one);
                deliveries.forget(one);
            }
        }
    }

    private void goOn(Delivery one, Arrived arrived) throws IOException {
        switch (one.state()) {
            case State.Reading _, State.Trying _, State.Taking _ -> {
                // It is looked at again next time.
            }
            case State.Failed _, State.Tried _
            when Files.size(arrived.file()) != one.size() -> {
                // It grew after all: what was read of it is no whole file.
                underWay.remove(one);
                deliveries.forget(one);
            }
            case State.Failed failed -> settle(one, () -> folder.waits(arrived, report(List.of(failed.reason()))));
            case State.Tried tried -> {
                List<String> why = whyToWait(tried);
                if (!why.isEmpty()) {
                    settle(one, () -> folder.waits(arrived, report(why, tried.trial())));
                } else {
                    deliveries.take(one, ITSELF);
                }
            }
            case State.Taken taken -> settle(one, () -> folder.taken(arrived, report(taken)));
        }
    }

    private interface Move {
        void go() throws IOException;
    }

    private void settle(Delivery one, Move move) throws IOException {
        move.go();
        underWay.remove(one);
        deliveries.forget(one);
    }

    /** Nothing comes in by itself of which a person would have been told first. */
    private static List<String> whyToWait(State.Tried tried) {
        Trial trial = tried.trial();
        List<String> why = new ArrayList<>(trial.strange());
        trial.neverSeen().forEach(one -> why.add(one.said()));
        if (trial.badRows() > 0) {
            why.add(trial.badRows() + (trial.badRows() == 1 ? " row" : " rows") + " cannot be read.");
        }
        if (!trial.isGood()) {
            why.add("Nothing would come in.");
        }
        if (trial.brought().gone() > 0) {
            why.add(trial.brought().gone() + " people would go off file.");
        }
        if (trial.brought().goneEvents() > 0) {
            why.add(trial.brought().goneEvents() + " records would go, since they are not in it.");
        }
        if (trial.takenBefore().isPresent()) {
            why.add("This very file was taken before.");
        }
        return why;
    }

    private Map<String, Object> report(List<String> why) {
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("at", today.now().toString());
        report.put("taken", false);
        report.put("why", why);
        return report;
    }

    private Map<String, Object> report(List<String> why, Trial trial) {
        Map<String, Object> report = report(why);
        report.put("rows", trial.rows());
        report.put("badRows", trial.badRows());
        report.put("people", trial.brought().people());
        report.put("records", trial.brought().events());
        return report;
    }

    private Map<String, Object> report(State.Taken taken) {
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("at", today.now().toString());
        report.put("taken", true);
        report.put("delivery", taken.delivery());
        report.put("rows", taken.trial().rows());
        report.put("people", taken.brought().people());
        report.put("records", taken.brought().events());
        return report;
    }

    List<Waiting> waiting() throws IOException {
        return folder.waiting();
    }

    /** Tries a file that waits anew, for a person to look at; nothing where it is gone. */
    Optional<Delivery> open(String id) throws IOException {
        Optional<Waiting> waiting = folder.waiting(id);
        if (waiting.isEmpty()) {
            return Optional.empty();
        }
        Optional<Intake> intake = intakes.inForce(waiting.get().intake());
        try (InputStream bytes = Files.newInputStream(waiting.get().file())) {
            Delivery opened = deliveries.receive(waiting.get().fileName(), bytes, intake);
            lookedAt.put(opened, waiting.get());
            return Optional.of(opened);
        }
    }

    /** Keeps a file that nobody wants out of the way; false where it is gone. */
    boolean putAway(String id) throws IOException {
        Optional<Waiting> waiting = folder.waiting(id);
        if (waiting.isPresent()) {
            folder.putAway(waiting.get());
        }
        return waiting.isPresent();
    }

    /** A file that a person took waits no longer; one that she left goes on to. */
    private void followPerson(Delivery one, Waiting waiting) throws IOException {
        if (one.state() instanceof State.Taken taken) {
            lookedAt.remove(one);
            if (Files.exists(waiting.file())) {
                folder.takenAfterAll(waiting, report(taken));
            }
        } else if (deliveries.find(one.id()).isEmpty()) {
            lookedAt.remove(one);
        }
    }
}
