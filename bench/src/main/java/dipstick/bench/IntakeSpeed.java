package dipstick.bench;

import dipstick.core.records.EventRecord;
import dipstick.core.records.PersonRecord;
import dipstick.intake.describe.Intake;
import dipstick.intake.make.MadeSink;
import dipstick.intake.make.PeopleKnown;
import dipstick.intake.make.RecordMaking;
import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposing;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;

/**
 * How fast the same invented results become records in each format: how long it takes to find out what a file means, and how
 * many records a second are made of it, the first time and again. Each format is also told as a ratio to the first.
 */
final class IntakeSpeed {
    private static final long SEED = 4;
    private static final int RESULTS_OF_A_PERSON = 9;
    private static final int AGAIN = 3;

    private IntakeSpeed() {}

    private interface Writing {
        void write(BufferedWriter out, int results) throws IOException;
    }

    private record Format(String fileName, Writing writing) {}

    private static final List<Format> FORMATS = List.of(
            new Format("results.csv", IntakeSpeed::csv),
            new Format("results.ndjson", IntakeSpeed::fhir),
            new Format("results.hl7", IntakeSpeed::hl7));

    /** @param arguments how many results; 200,000 unless said */
    public static void main(String[] arguments) throws IOException {
        int results = arguments.length == 0 ? 200_000 : Integer.parseInt(arguments[0]);
        Path folder = Files.createTempDirectory("dipstick");
        try {
            System.out.printf(
                    "%-16s %8s %12s %14s %14s %8s%n",
                    "file", "MB", "proposed, s", "first, rec/s", "again, rec/s", "ratio");
            double ofFirst = 0;
            for (Format format : FORMATS) {
                Path file = folder.resolve(format.fileName());
                try (BufferedWriter out = Files.newBufferedWriter(file)) {
                    format.writing().write(out, results);
                }
                double again = measure(file, format.fileName(), ofFirst);
                ofFirst = ofFirst == 0 ? again : ofFirst;
            }
        } finally {
            try (Stream<Path> left = Files.walk(folder)) {
                for (Path one : left.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(one);
                }
            }
        }
    }

    private static double measure(Path file, String name, double ofFirst) throws IOException {
        long begin = System.nanoTime();
        Intake intake = Proposing.of(
                        name,
                        file,
                        Proposing.Asked.in(LocalDate.now(ZoneOffset.UTC).getYear()))
                .intake();
        double proposed = seconds(begin);
        double first = perSecond(file, intake);
        double again = 0;
        for (int i = 0; i < AGAIN; i++) {
            again = Math.max(again, perSecond(file, intake));
        }
        System.out.printf(
                Locale.ROOT,
                "%-16s %8.1f %12.2f %14.0f %14.0f %8.2f%n",
                name,
                Files.size(file) / 1e6,
                proposed,
                first,
                again,
                ofFirst == 0 ? 1 : again / ofFirst);
        return again;
    }

    private static double perSecond(Path file, Intake intake) throws IOException {
        Counting counting = new Counting();
        long begin = System.nanoTime();
        RecordMaking.read(file, intake, ZoneOffset.UTC, PeopleKnown.NOBODY, counting);
        double took = seconds(begin);
        if (counting.troubles > 0) {
            throw new IllegalStateException(counting.troubles + " rows of " + file + " were not read");
        }
        return counting.made / took;
    }

    private static double seconds(long begin) {
        return (System.nanoTime() - begin) / 1e9;
    }

    private static final class Counting implements MadeSink {
        private long made;
        private long troubles;

        @Override
        public void person(PersonRecord person) {
            made++;
        }

        @Override
        public void event(EventRecord event) {
            made++;
        }

        @Override
        public void trouble(Trouble trouble) {
            troubles++;
        }
    }

    private record Result(int person, String day, String value) {
        static Result of(int number, Random chance) {
            return new Result(
                    number / RESULTS_OF_A_PERSON,
                    LocalDate.of(2020, 1, 1).plusDays(chance.nextInt(2400)).toString(),
                    String.format(Locale.ROOT, "%.1f", 20 + chance.nextDouble() * 60));
        }
    }

    private static void csv(BufferedWriter out, int results) throws IOException {
        Random chance = new Random(SEED);
        out.write("Patient No;Surname;DOB;Lab No;Test;Result;Units;Taken on\n");
        for (int i = 0; i < results; i++) {
            Result one = Result.of(i, chance);
            out.write("N" + one.person() + ";Marl " + one.person() + ";1961-05-17;L" + i + ";eGFR;" + one.value()
                    + ";mL/min;" + one.day() + "\n");
        }
    }

    private static void fhir(BufferedWriter out, int results) throws IOException {
        Random chance = new Random(SEED);
        for (int i = 0; i < results; i++) {
            Result one = Result.of(i, chance);
            if (i % RESULTS_OF_A_PERSON == 0) {
                out.write("""
                        {"resourceType":"Patient","id":"p%1$d","identifier":[{"value":"N%1$d"}],\
                        "name":[{"family":"Marl %1$d"}],"birthDate":"1961-05-17"}
                        """.formatted(one.person()));
            }
            out.write("""
                    {"resourceType":"Observation","id":"o%d","status":"final","code":{"coding":[{"system":"http://loinc.org",\
                    "code":"33914-3","display":"eGFR"}]},"subject":{"reference":"Patient/p%d"},"effectiveDateTime":"%s",\
                    "valueQuantity":{"value":%s,"unit":"mL/min"}}
                    """.formatted(i, one.person(), one.day(), one.value()));
        }
    }

    private static void hl7(BufferedWriter out, int results) throws IOException {
        Random chance = new Random(SEED);
        for (int i = 0; i < results; i++) {
            Result one = Result.of(i, chance);
            if (i % RESULTS_OF_A_PERSON == 0) {
                out.write("MSH|^~\\&|LAB|H|||20260302||ORU^R01|" + i + "|P|2.5.1\rPID|1||N" + one.person() + "||Marl "
                        + one.person() + "||19610517\r");
            }
            out.write("OBR|1||L" + i + "|33914-3^eGFR^LN|||" + one.day().replace("-", "")
                    + "\rOBX|1|NM|33914-3^eGFR^LN||" + one.value() + "|mL/min|||||F\r");
        }
    }
}
