package dipstick.region.evaluate;

import dipstick.command.CriteriaFiles;
import dipstick.command.Settings;
import dipstick.core.parts.InvalidQuestion;
import dipstick.core.parts.Question;
import dipstick.core.parts.SentQuestion;
import dipstick.region.records.Manifest;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Option;

/** What is asked: criteria sets by their files, or a question that a practice sent; as of when, and with which dials. */
final class WhatIsAsked {
    @ArgGroup(exclusive = true, multiplicity = "1")
    private Source source = new Source();

    private static final class Source {
        @Option(
                names = "--criteria",
                required = true,
                paramLabel = "FILE",
                description = "The criteria set to evaluate; given again, sets that it may name as members.")
        private List<Path> criteria = List.of();

        @Option(
                names = "--question",
                required = true,
                paramLabel = "FILE",
                description = "What a practice asks, as its page wrote it: sets, dials, as-of date and zone.")
        private Optional<Path> question = Optional.empty();
    }

    @Option(
            names = "--dial",
            paramLabel = "NAME=VALUE",
            description = "Turns a dial of the criteria set; several texts are separated by semicolons.")
    private List<String> dials = List.of();

    @Option(
            names = "--as-of",
            paramLabel = "DAY",
            description = "The as-of date; by default that of the question, else today in the zone.")
    private Optional<String> asOf = Optional.empty();

    @Option(
            names = "--zone",
            paramLabel = "ZONE",
            description = "The time zone of the practices; by default that of the question, else this machine's.")
    private Optional<String> zone = Optional.empty();

    /** What was read of it. */
    record Read(List<Question.Document> documents, Map<String, String> dials, ZoneId zone, LocalDate asOf) {
        Question of(Manifest manifest, List<LocalDate> days) {
            return new Question(documents, dials, zone, days, manifest.customOfPeople(), manifest.customOfEvents());
        }
    }

    /** @param problems to which what is wrong is added, a sentence each */
    Read read(List<String> problems) {
        Optional<SentQuestion> sent = source.question.flatMap(file -> sent(file, problems));
        Settings settings = Settings.of(
                asOf.or(() -> sent.map(question -> question.asOf().toString())),
                zone.or(() -> sent.map(question -> question.zone().getId())),
                dials);
        problems.addAll(settings.problems());
        Map<String, String> turned = new HashMap<>(sent.map(SentQuestion::dials).orElse(Map.of()));
        turned.putAll(settings.dials());
        List<Question.Document> documents = sent.map(this::documents).orElseGet(() -> documents(problems));
        return new Read(documents, turned, settings.zone(), settings.asOf());
    }

    private static Optional<SentQuestion> sent(Path file, List<String> problems) {
        return CriteriaFiles.text(file, problems).flatMap(text -> {
            try {
                return Optional.of(SentQuestion.parse(text));
            } catch (InvalidQuestion invalid) {
                problems.add(file + ": this is no question of a practice: " + invalid.why());
                return Optional.empty();
            }
        });
    }

    private List<Question.Document> documents(SentQuestion sent) {
        return IntStream.range(0, sent.documents().size())
                .mapToObj(place -> new Question.Document(
                        source.question.orElseThrow() + ", /documents/" + place,
                        sent.documents().get(place).toString()))
                .toList();
    }

    private List<Question.Document> documents(List<String> problems) {
        List<Question.Document> documents = new ArrayList<>();
        for (Path path : source.criteria) {
            CriteriaFiles.text(path, problems)
                    .ifPresent(text -> documents.add(new Question.Document(path.toString(), text)));
        }
        return documents;
    }
}
