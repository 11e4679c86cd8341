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
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Deliveries as they are shown to whoever asks. */
@Component
class DeliveryViews {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final Sharing sharing;

    DeliveryViews(Sharing sharing) {
        this.sharing = sharing;
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
     * @param rowsRead how many of its rows were read in this stage
     */
    record DeliveryView(
            String id,
            String fileName,
            DeliveryStage stage,
            int rowsRead,
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
            Proposal.ReadAs readAs,
            List<Proposal.Choice> choices,
            List<Proposal.Question> questions) {}

    record TroubleView(long line, String column, String cell, String said) {}

    record TroublesView(Trouble.Reason reason, int count, List<TroubleView> first) {}

    record CountsView(int added, int changed, int unchanged) {}

    /**
     * @param changedFields the most first
     * @param firstChanges some of these changes
     * @param otherwise how much it says otherwise than another source, whose word stays
     * @param firstOtherwise some of it
     */
    record BroughtView(
            CountsView people,
            CountsView events,
            int gone,
            int goneEvents,
            int unknownPeople,
            int erased,
            List<ChangedField> changedFields,
            List<ChangeView> firstChanges,
            int otherwise,
            List<OtherwiseView> firstOtherwise) {}

    /** @param count how many have, or get, another value of it */
    record ChangedField(boolean ofPeople, String field, int count) {}

    record ChangeView(String person, boolean ofPerson, String field, String before, String after) {}

    /** @param owner the source that brought what is kept */
    record OtherwiseView(String person, String field, String kept, String owner, String said) {}

    /**
     * Words that were never seen in a field.
     *
     * @param ofPeople whether it is a field of people, or one of records
     * @param onFile the words that are on file
     */
    record NeverSeenView(boolean ofPeople, String field, List<String> words, List<String> onFile) {}

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
            List<NeverSeenView> neverSeen,

            List<EffectView> effects,
            Optional<String> takenBefore,
            boolean good) {}

    DeliveryView view(Delivery one) {
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
                        one.rowsRead(),
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
                one.rowsRead(),
                found.map(DeliveryViews::view),
                intake.map(DeliveryViews::json),
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
                proposal.readAs(),
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
                trial.neverSeen().stream()
                        .map(one -> new NeverSeenView(one.ofPeople(), one.field(), one.words(), one.onFile()))
                        .toList(),
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
                brought.goneEvents(),
                brought.unknownPeople(),
                brought.erased(),
                Stream.concat(
                                changed(true, brought.told().ofPeople()),
                                changed(false, brought.told().ofEvents()))
                        .sorted(Comparator.comparing(ChangedField::ofPeople, Comparator.reverseOrder())
                                .thenComparing(ChangedField::count, Comparator.reverseOrder())
                                .thenComparing(ChangedField::field))
                        .toList(),
                brought.told().firstChanges().stream()
                        .map(one ->
                                new ChangeView(one.person(), one.ofPerson(), one.field(), one.before(), one.after()))
                        .toList(),
                brought.told().otherwise(),
                brought.told().firstOtherwise().stream()
                        .map(one -> new OtherwiseView(one.person(), one.field(), one.kept(), one.owner(), one.said()))
                        .toList());
    }

    private static Stream<ChangedField> changed(boolean ofPeople, Map<String, Integer> counts) {
        return counts.entrySet().stream().map(one -> new ChangedField(ofPeople, one.getKey(), one.getValue()));
    }
}
