package dipstick.server.records;

import dipstick.core.records.Fields;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import dipstick.server.records.DeliveryMapper.Did;
import dipstick.server.records.DeliveryMapper.Standing;
import dipstick.server.web.Problems;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Undoes a delivery: what it added goes, what it changed or removed is as before. A record that something changed later
 * is told, and stays as it is unless that is wanted too. What colleagues logged is no part of a delivery and stays.
 */
@Service
class TakingBack {
    private static final int MOST_TOLD = 50;

    private final DeliveryMapper deliveries;
    private final RecordsMapper records;
    private final FurtherNumberMapper numbers;
    private final OtherwiseMapper otherwises;
    private final OtherNumbers otherNumbers;
    private final EventMoves moves;
    private final TakingTurns turns;
    private final RecordsLoader loader;
    private final Unshown unshown;
    private final Views views;
    private final Today today;
    private final AuditLog audit;
    private final TransactionTemplate transaction;

    TakingBack(
            DeliveryMapper deliveries,
            RecordsMapper records,
            FurtherNumberMapper numbers,
            OtherwiseMapper otherwises,
            OtherNumbers otherNumbers,
            EventMoves moves,
            TakingTurns turns,
            RecordsLoader loader,
            Unshown unshown,
            Views views,
            Today today,
            AuditLog audit,
            PlatformTransactionManager transactions) {
        this.deliveries = deliveries;
        this.records = records;
        this.numbers = numbers;
        this.otherwises = otherwises;

        this.otherNumbers = otherNumbers;
        this.moves = moves;
        this.turns = turns;
        this.loader = loader;
        this.unshown = unshown;
        this.views = views;
        this.today = today;
        this.audit = audit;
        this.transaction = new TransactionTemplate(transactions);
    }

    /**
     * What taking back does, or would do.
     *
     * @param gone records and people that it added
     * @param asBefore records and people that it changed or removed
     * @param changedSince of all these, how many were changed later
     * @param people some of those whose records were changed later, by id
     */
    record Undone(int gone, int asBefore, int changedSince, List<String> people) {}

    Undone look(long delivery) {
        Standing standing = standing(delivery);
        Tally tally = new Tally();
        Fields fields = loader.fields().people();
        deliveries.of(standing.id()).forEach(did -> tally.add(did, isAsItWasMade(did, fields)));
        return tally.undone();
    }

    /** @param everything whether records that were changed later are undone, too */
    Undone takeBack(long delivery, boolean everything, String who) {
        Undone undone = turns.delivering(() -> transaction.execute(_ -> {
            Standing standing = standing(delivery);
            if (deliveries.tookBack(delivery, today.now(), who) != 1) {
                throw takenBackAlready();
            }
            Tally tally = new Tally();
            Set<String> people = new HashSet<>();
            Fields fields = loader.fields().people();
            Map<String, String> joined = otherNumbers.all();
            for (Did did : deliveries.of(delivery)) {
                boolean same = isAsItWasMade(did, fields);
                tally.add(did, same);
                if (same || everything) {
                    undo(did, joined);
                    people.add(joined.getOrDefault(did.person(), did.person()));
                }
            }
            numbers.takeBack(delivery);
            otherwises.takeBack(delivery);

            unshown.changing(
                    people, true, () -> records.changeStamp(UUID.randomUUID().toString()));
            audit.record(who, Act.RECORDS_TAKEN_BACK, standing.fileName());
            return tally.undone();
        }));
        views.show();
        return undone;
    }

    private Standing standing(long delivery) {
        Standing standing = deliveries
                .standing(delivery)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "no-such-delivery", "There is no such delivery, or not any more."));
        if (standing.takenBackAt() != null) {
            throw takenBackAlready();
        }
        return standing;
    }

    private static RuntimeException takenBackAlready() {
        return Problems.refused(
                HttpStatus.CONFLICT,
                "taken-back-already",
                "This delivery was taken back already. Nothing was changed.");
    }

    /** Whether nothing changed the record since the delivery. */
    private boolean isAsItWasMade(Did did, Fields fields) {
        if (did.ofEvents()) {
            return deliveries.fingerprintOfEvent(did.recordKey()).orElse("").equals(did.made());
        }
        Optional<String> now = records.people(new String[] {did.recordKey()}).stream()
                .map(stored -> RowMapping.person(stored, fields))
                .map(DeliveryNotes::fingerprint)
                .findFirst();
        return now.orElse("").equals(did.made());
    }

    /** @param joined by each number that is joined to another, the one under which they go on */
    private void undo(Did did, Map<String, String> joined) {
        boolean added = did.did().equals(DeliveryNotes.ADDED);
        if (did.ofEvents()) {
            if (added) {
                deliveries.deleteEvent(did.recordKey());
            } else {
                deliveries.restoreEvent(did.delivery(), did.recordKey());
                // It was of somebody who goes on under another number by now.
                moves.known(did.recordKey()).stream()
                        .filter(event -> joined.containsKey(event.personId()))
                        .forEach(event -> moves.join(event, joined.get(event.personId())));
            }
        } else if (added) {
            records.deletePerson(did.recordKey());
        } else if (!joined.containsKey(did.recordKey())) {
            deliveries.restorePerson(did.delivery(), did.recordKey());
        }
    }

    private static final class Tally {
        private int gone;
        private int asBefore;
        private int changedSince;
        private final List<String> people = new ArrayList<>();

        void add(Did did, boolean same) {
            if (did.did().equals(DeliveryNotes.ADDED)) {
                gone++;
            } else {
                asBefore++;
            }
            if (!same) {
                changedSince++;
                if (people.size() < MOST_TOLD && !people.contains(did.person())) {
                    people.add(did.person());
                }
            }
        }

        Undone undone() {
            return new Undone(gone, asBefore, changedSince, List.copyOf(people));
        }
    }
}
