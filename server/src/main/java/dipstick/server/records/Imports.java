package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.records.UnreadableFile;
import dipstick.server.personal.Erased;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.records.RecordsWriter.Over;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.LongConsumer;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.FileSystemUtils;

/**
 * Brings files in: each is kept aside and read through, so that a person sees what is wrong with it, and is then taken
 * in one transaction or left. One file is taken at a time.
 */
@Service
class Imports {
    private static final Logger LOG = LoggerFactory.getLogger(Imports.class);

    private static final String NOTHING_TAKEN = "Something went wrong on our side while the file was read. Nothing of"
            + " it was taken; what was there before is kept. Try again.";

    private static final Duration LEFT_AFTER = Duration.ofHours(1);

    private final RecordsWriter writer;
    private final DeliveryLog deliveries;
    private final RecordsLoader loader;
    private final Views views;
    private final FileNumbers numbers;

    private final TakingTurns turns;
    private final Erased erased;
    private final Today today;
    private final TransactionTemplate transaction;
    private final Path folder;
    private final Map<String, Import> imports = new ConcurrentHashMap<>();
    private final ExecutorService checking = Executors.newVirtualThreadPerTaskExecutor();
    private final ExecutorService taking = Executors.newSingleThreadExecutor();

    Imports(
            RecordsWriter writer,
            DeliveryLog deliveries,
            RecordsLoader loader,
            Views views,
            FileNumbers numbers,
            TakingTurns turns,
            Erased erased,
            Today today,
            PlatformTransactionManager transactions,
            PracticeSettings settings) {
        this.writer = writer;
        this.deliveries = deliveries;
        this.loader = loader;
        this.views = views;
        this.numbers = numbers;

        this.turns = turns;
        this.erased = erased;
        this.today = today;
        this.transaction = new TransactionTemplate(transactions);
        this.folder = settings.data().resolve("incoming");
    }

    /** Removes what a stop in the middle left behind; none of it was taken. */
    @PostConstruct
    void removeLeftovers() throws IOException {
        FileSystemUtils.deleteRecursively(folder);
    }

    /** Keeps the file aside and begins to read it through. */
    Import receive(FileKind kind, String fileName, InputStream bytes) throws IOException {
        Files.createDirectories(folder);
        String id = UUID.randomUUID().toString();
        Path file = folder.resolve(id + ".upload");
        long size;
        try {
            size = Files.copy(bytes, file);
        } catch (IOException brokenOff) {
            Files.deleteIfExists(file);
            throw brokenOff;
        }
        Import received = new Import(id, kind, fileName, size, file, today.now());
        imports.put(id, received);
        checking.execute(() -> check(received));
        return received;
    }

    Optional<Import> find(String id) {
        return Optional.ofNullable(imports.get(id));
    }

    List<ImportLogMapper.Entry> latest() {
        return deliveries.latest();
    }

    /**
     * Begins to take the good lines; false where that cannot be done, or was done already.
     *
     * @param everybody whether people who are not in the file go off file
     */
    boolean take(Import one, boolean everybody, String who) {
        boolean started = one.startTaking(everybody);
        if (started) {
            taking.execute(() -> takeNow(one, everybody, who));
        }
        return started;
    }

    /** Forgets a file and what was read of it; what was taken stays. */
    void forget(Import one) throws IOException {
        imports.remove(one.id());
        Files.deleteIfExists(one.file());
        Files.deleteIfExists(one.problemsFile());
    }

    /** What nobody took in an hour goes: it is of people, and lies about. */
    @Scheduled(fixedDelay = 10, timeUnit = TimeUnit.MINUTES)
    void forgetWhatWasLeft() throws IOException {
        for (Import one : List.copyOf(imports.values())) {
            if (one.isLeftSince(today.now().minus(LEFT_AFTER))) {
                forget(one);
            }
        }
    }

    private void check(Import one) {
        int[] good = {0};
        Set<String> named = new HashSet<>();
        boolean unreadable = false;
        int leftOut = 0;
        try (ProblemsFile problems = new ProblemsFile(one.problemsFile())) {
            try (InputStream bytes = open(one, read -> one.become(new Import.State.Checking(read)))) {
                FileReading reading = new FileReading(today.zone(), erased.keptOut(), problems::add);
                switch (one.kind()) {
                    case OTHER -> throw new IllegalStateException("Read by its intake");
                    case PEOPLE ->
                        reading.people(bytes, loader.fields().people(), new FileReading.PeopleSink() {
                            @Override
                            public void header(List<Field> customFields, Set<String> spokenOf) {
                                // Nothing is written while the file is only read through.
                            }

                            @Override
                            public void chunk(List<PersonRecord> people) {
                                good[0] += people.size();
                                people.forEach(person -> named.add(person.id()));
                            }
                        });
                    case EVENTS ->
                        reading.events(bytes, loader.fields().events(), new FileReading.EventsSink() {
                            @Override
                            public void header(List<Field> customFields) {
                                // Nothing is written while the file is only read through.
                            }

                            @Override
                            public void chunk(List<EventRecord> events) {
                                good[0] += events.size();
                            }
                        });
                }
                leftOut = reading.leftOut();
            } catch (UnreadableFile broken) {
                problems.add(broken.problem());
                unreadable = true;
            }
            one.become(new Import.State.Checked(new FileCheck(
                    good[0], problems.lines(), problems.first(), unreadable, absent(one, named), leftOut)));
        } catch (IOException | RuntimeException failure) {
            failed(one, failure, NOTHING_TAKEN);
        }
    }

    /** How many people on file a file of people does not name. */
    private int absent(Import one, Set<String> named) {
        WhoIsMeant whoIsMeant = whoIsMeant();
        Set<String> meant = named.stream().map(whoIsMeant::by).collect(Collectors.toSet());
        return one.kind() == FileKind.PEOPLE
                ? (int) loader.personIds().stream()
                        .filter(person -> !meant.contains(person))
                        .count()
                : 0;
    }

    /** By its numbers a file of our own format means what every source does. */
    private WhoIsMeant whoIsMeant() {
        return numbers.of("", loader.personIds());
    }

    private void takeNow(Import one, boolean everybody, String who) {
        Import.State.Taken taken;
        try {
            taken = turns.delivering(() -> transaction.execute(_ -> {
                DeliveryLog.About about =
                        new DeliveryLog.About(who, one.kind(), one.fileName(), "", Optional.of(one.file()));
                long delivery = deliveries.begin(about);
                Import.State.Taken written =
                        write(one, everybody, loader.fields(), Optional.of(writer.notesOf(delivery)));
                deliveries.finish(
                        delivery, about, written.changes(), written.check().badLines(), written.unknownPeople());
                return written;
            }));
        } catch (RuntimeException failure) {
            failed(one, failure, NOTHING_TAKEN);
            return;
        }
        boolean shown = views.show();
        one.become(new Import.State.Taken(taken.check(), taken.changes(), taken.unknownPeople(), shown));
        removeFile(one);
    }

    private static void removeFile(Import one) {
        try {
            Files.deleteIfExists(one.file());
        } catch (IOException stays) {
            LOG.warn("{} could not be removed; the next start does it: {}", one.file(), stays.getMessage());
        }
    }

    private Import.State.Taken write(Import one, boolean everybody, RecordFields known, Optional<DeliveryNotes> notes) {
        FileCheck check = ((Import.State.Taking) one.state()).check();
        Set<String> unknownPeople = new HashSet<>();
        Changes.Sum changes = new Changes.Sum();
        JoinedInFile joinedInFile = numbers.joinedInFile();
        try (InputStream bytes = open(one, read -> one.become(new Import.State.Taking(check, read)))) {
            // What is wrong with lines was said when the file was read through.
            FileReading reading = new FileReading(today.zone(), erased.keptOut(), _ -> {});
            switch (one.kind()) {
                case OTHER -> throw new IllegalStateException("Read by its intake");
                case PEOPLE -> {
                    Writing writing = new Writing(changes, known.people(), notes, joinedInFile);
                    reading.people(bytes, known.people(), writing);
                    writing.end();
                    if (everybody) {
                        changes.add(writer.removeOthers(writing.named, notes));
                    }
                }
                case EVENTS -> {
                    Set<String> onFile = loader.personIds();
                    WhoIsMeant whoIsMeant = numbers.of("", onFile);
                    reading.events(bytes, known.events(), new FileReading.EventsSink() {
                        @Override
                        public void header(List<Field> customFields) {
                            writer.addCustomFieldsOfEvents(customFields, known.events());
                        }

                        @Override
                        public void chunk(List<EventRecord> said) {
                            List<EventRecord> events = new ArrayList<>();
                            said.forEach(one -> {
                                EventRecord event = whoIsMeant.by(one);
                                if (!joinedInFile.keeps(one.personId(), event)) {
                                    events.add(event);
                                }
                            });
                            changes.add(writer.writeEvents(events, Over.BLANKS_CLEAR, Fields.EVENT, notes));
                            events.stream()
                                    .map(EventRecord::personId)
                                    .filter(person -> !onFile.contains(person))
                                    .forEach(unknownPeople::add);
                        }
                    });
                    joinedInFile.nameEvents();
                    changes.add(writer.writeEvents(joinedInFile.events(), Over.BLANKS_CLEAR, Fields.EVENT, notes));
                }
            }
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        return new Import.State.Taken(check, changes.whole(), unknownPeople.size(), false);
    }

    private final class Writing implements FileReading.PeopleSink {
        private final Changes.Sum changes;
        private final Optional<DeliveryNotes> notes;
        private Fields fields;
        private Set<String> spokenOf = Set.of();
        private final JoinedInFile joinedInFile;
        private final WhoIsMeant whoIsMeant = whoIsMeant();
        private final Set<String> named = new HashSet<>();

        Writing(Changes.Sum changes, Fields known, Optional<DeliveryNotes> notes, JoinedInFile joinedInFile) {
            this.joinedInFile = joinedInFile;
            this.changes = changes;
            this.notes = notes;
            this.fields = known;
        }

        @Override
        public void header(List<Field> customFields, Set<String> spokenOf) {
            writer.addCustomFieldsOfPeople(customFields, fields);
            this.fields = fields.with(customFields);
            this.spokenOf = spokenOf;
        }

        @Override
        public void chunk(List<PersonRecord> said) {
            List<PersonRecord> people = new ArrayList<>();
            said.forEach(one -> {
                PersonRecord person = whoIsMeant.by(one);
                named.add(person.id());
                if (!joinedInFile.keeps(one.id(), person)) {
                    people.add(person);
                }
            });
            changes.add(writer.writePeople(people, spokenOf, fields, notes));
        }

        void end() {
            changes.add(writer.writePeople(joinedInFile.people(), spokenOf, fields, notes));
        }
    }

    private static InputStream open(Import one, LongConsumer progress) throws IOException {
        return new BufferedInputStream(new CountingInputStream(Files.newInputStream(one.file()), progress), 1 << 16);
    }

    private static void failed(Import one, Exception failure, String reason) {
        LOG.error("Bringing in {} failed", one.fileName(), failure);
        one.become(new Import.State.Failed(reason));
    }

    @PreDestroy
    void stop() {
        checking.shutdownNow();
        taking.shutdown();
    }
}
