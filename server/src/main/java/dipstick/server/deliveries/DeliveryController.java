package dipstick.server.deliveries;

import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposal;
import dipstick.server.deliveries.Delivery.Found;
import dipstick.server.deliveries.Delivery.State;
import dipstick.server.records.RecordsIn.Brought;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Files of other systems: send one, see what it may mean and what it would change, mend its intake, take it or leave it. */
@RestController
@RequestMapping("/api/deliveries")
class DeliveryController {
    private static final int LONGEST_NAME = 300;
    private static final JsonMapper JSON = JsonMapper.shared();

    private final Deliveries deliveries;
    private final Sharing sharing;
    private final List<SampleFiles> samples;

    DeliveryController(Deliveries deliveries, Sharing sharing, List<SampleFiles> samples) {
        this.deliveries = deliveries;
        this.sharing = sharing;
        this.samples = samples;
    }

    enum DeliveryStage {
        READING,
        TRYING,
        TRIED,
        TAKING,
        TAKEN,
        FAILED
    }

    /**
     * A file of another system on its way in.
     *
     * @param reason why it failed, or is not shown yet, where it did
     * @param delivery the number by which it is taken back, once it is taken
     */
    record DeliveryView(
            String id,
            String fileName,
            DeliveryStage stage,
            Optional<FoundView> found,
            Optional<JsonNode> intake,
            Optional<TrialView> trial,
            Optional<BroughtView> taken,
            Optional<Long> delivery,
            String reason) {}

    /**
     * What was found out of the file.
     *
     * @param known whether an intake of the practice reads it
     */
    record FoundView(
            String format,
            long headerLine,
            int rows,
            boolean known,
            List<Proposal.Choice> choices,
            List<Proposal.Question> questions) {}

    record TroubleView(long line, String column, String cell, String said) {}

    record TroublesView(Trouble.Reason reason, int count, List<TroubleView> first) {}

    record CountsView(int added, int changed, int unchanged) {}

    record BroughtView(CountsView people, CountsView events, int gone, int unknownPeople, int erased) {}

    /** @param id empty where the list is not shared with whoever asks */
    record EffectView(String id, String name, int joined, int left) {}

    /**
     * What taking the file would do.
     *
     * @param first of the records, as they would become: each field with what it holds
     * @param takenBefore when the very same file was taken, as an instant, if it was
     * @param good whether there is anything to take
     */
    record TrialView(
            int rows,
            int leftOut,
            int badRows,
            List<TroublesView> troubles,
            BroughtView brought,
            List<Map<String, String>> first,
            List<String> strange,
            List<EffectView> effects,
            Optional<String> takenBefore,
            boolean good) {}

    @PostMapping
    DeliveryView receive(@RequestParam String name, HttpServletRequest request) throws IOException {
        String shortName = name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME);
        return view(deliveries.receive(shortName, request.getInputStream()));
    }

    @GetMapping("/{id}")
    DeliveryView see(@PathVariable String id) {
        return view(find(id));
    }

    record SampleView(String name, String what) {}

    /** Files to try things with; none where there is a real practice. */
    @GetMapping("/samples")
    List<SampleView> samples() {
        return samples.stream()
                .flatMap(some -> some.all().stream())
                .map(one -> new SampleView(one.name(), one.what()))
                .toList();
    }

    @GetMapping(value = "/samples/{name}", produces = "application/octet-stream")
    ResponseEntity<byte[]> sample(@PathVariable String name) {
        return samples.stream()
                .flatMap(some -> some.all().stream())
                .filter(one -> one.name().equals(name))
                .findFirst()
                .map(one -> Download.of(
                        "application/octet-stream", one.name(), one.bytes().get()))
                .orElseThrow(
                        () -> Problems.refused(HttpStatus.NOT_FOUND, "no-such-sample", "There is no such file here."));
    }

    /** Tries the file anew by another intake, or by one that was mended. */
    @PutMapping("/{id}/intake")
    DeliveryView tryBy(@PathVariable String id, @RequestBody JsonNode intake) {
        Delivery one = find(id);
        Intake read = Intakes.read(intake.toString());
        if (!deliveries.tryBy(one, read)) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "cannot-be-tried",
                    "This file is being read, or was taken already. Nothing was changed.");
        }
        return view(one);
    }

    @PostMapping("/{id}/take")
    DeliveryView take(@PathVariable String id, Principal who) {
        Delivery one = find(id);
        if (!deliveries.take(one, who.getName())) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "cannot-be-taken",
                    "This file is not ready to be taken, something about it is not said yet, it holds nothing that can"
                            + " be, or it was taken already. Nothing was changed.");
        }
        return view(one);
    }

    /** Leaves the file; what was taken of it stays. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@PathVariable String id) throws IOException {
        deliveries.forget(find(id));
    }

    /** Everything that is wrong with the file, as CSV. */
    @GetMapping(value = "/{id}/problems", produces = "text/csv")
    ResponseEntity<Resource> problems(@PathVariable String id) {
        Delivery one = find(id);
        if (!Files.exists(one.problemsFile())) {
            throw Problems.refused(
                    HttpStatus.CONFLICT, "not-tried-yet", "The file was not tried yet. Ask again when it was.");
        }
        return Download.of("text/csv;charset=UTF-8", "problems.csv", new FileSystemResource(one.problemsFile()));
    }

    private Delivery find(String id) {
        return deliveries
                .find(id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND,
                        "no-such-import",
                        "This file is not here any more. What was taken of it is kept; send it again if need be."));
    }

    private DeliveryView view(Delivery one) {
        return switch (one.state()) {
            case State.Reading _ ->
                view(one, DeliveryStage.READING, Optional.empty(), Optional.empty(), Optional.empty(), "");
            case State.Trying(Found found, Intake intake) ->
                view(one, DeliveryStage.TRYING, Optional.of(found), Optional.of(intake), Optional.empty(), "");
            case State.Tried(Found found, Intake intake, Trial trial) ->
                view(one, DeliveryStage.TRIED, Optional.of(found), Optional.of(intake), Optional.of(trial), "");
            case State.Taking(Found found, Intake intake, Trial trial) ->
                view(one, DeliveryStage.TAKING, Optional.of(found), Optional.of(intake), Optional.of(trial), "");
            case State.Failed(Optional<Found> found, Optional<Intake> intake, String reason) ->
                view(one, DeliveryStage.FAILED, found, intake, Optional.empty(), reason);
            case State.Taken(Found found, Intake intake, Trial trial, long delivery, Brought brought, boolean shown) ->
                new DeliveryView(
                        one.id(),
                        one.fileName(),
                        DeliveryStage.TAKEN,
                        Optional.of(view(found)),
                        Optional.of(json(intake)),
                        Optional.of(view(trial)),
                        Optional.of(view(brought)),
                        Optional.of(delivery),
                        shown ? "" : NOT_SHOWN_YET);
        };
    }

    private static final String NOT_SHOWN_YET =
            "The file is taken and kept, but its records could not be made ready, so lists do not count them yet."
                    + " Dipstick tries again by itself; you need not send it again.";

    private DeliveryView view(
            Delivery one,
            DeliveryStage stage,
            Optional<Found> found,
            Optional<Intake> intake,
            Optional<Trial> trial,
            String reason) {
        return new DeliveryView(
                one.id(),
                one.fileName(),
                stage,
                found.map(DeliveryController::view),
                intake.map(DeliveryController::json),
                trial.map(this::view),
                Optional.empty(),
                Optional.empty(),
                reason);
    }

    private static JsonNode json(Intake intake) {
        return JSON.readTree(IntakeDocument.written(intake));
    }

    private static FoundView view(Found found) {
        Proposal proposal = found.proposal();
        return new FoundView(
                proposal.format(),
                proposal.headerLine(),
                proposal.rows(),
                found.known(),
                proposal.choices(),
                found.known() ? List.of() : proposal.questions());
    }

    private TrialView view(Trial trial) {
        return new TrialView(
                trial.rows(),
                trial.leftOut(),
                trial.badRows(),
                trial.troubles().stream()
                        .map(group -> new TroublesView(
                                group.reason(),
                                group.count(),
                                group.first().stream()
                                        .map(one -> new TroubleView(one.line(), one.column(), one.cell(), one.said()))
                                        .toList()))
                        .toList(),
                view(trial.brought()),
                trial.first(),
                trial.strange(),
                trial.effects().stream().map(this::view).toList(),
                trial.takenBefore().map(Instant::toString),
                trial.isGood());
    }

    private EffectView view(Trial.Effect effect) {
        boolean shared = sharing.here(effect.set()).includes(Right.VIEW);
        return new EffectView(
                shared ? effect.set() : "",
                shared ? effect.name() : "a list that is not shared with you",
                effect.joined(),
                effect.left());
    }

    private static BroughtView view(Brought brought) {
        return new BroughtView(
                new CountsView(
                        brought.people().added(),
                        brought.people().changed(),
                        brought.people().unchanged()),
                new CountsView(
                        brought.events().added(),
                        brought.events().changed(),
                        brought.events().unchanged()),
                brought.gone(),
                brought.unknownPeople(),
                brought.erased());
    }
}
