package dipstick.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Invented records of a whole region's practices: clean, every date exact, the same for the same size. People come one
 * after another, each with their events; days are counted from 1970-01-01.
 */
record Region(int people, int events) {
    static final int NAMES = 4000;
    static final int SITES = 30;
    static final int TOPICS = 12;
    static final LocalDate AS_OF = LocalDate.of(2026, 11, 23);

    private static final int TODAY = Math.toIntExact(AS_OF.toEpochDay());
    private static final int YEARS_OF_RECORDS = 12;
    private static final int DAYS_AHEAD = 200;

    /** How unequally people have events, and how many times the least of them the most have at most. */
    private static final double LONG_TAIL = 0.9;

    private static final double MOST_OVER_LEAST = 1000;

    /** A kind of event: its share of a thousand, how many codes it has, and the statuses that it may have. */
    record Kind(String name, int share, String letter, int codes, List<String> statuses, boolean hasValue) {}

    static final List<Kind> KINDS = List.of(
            new Kind("result", 350, "R", 120, List.of("final"), true),
            new Kind("visit", 250, "S", 20, List.of("done"), false),
            new Kind("medication", 150, "M", 90, List.of("current", "stopped"), false),
            new Kind("problem", 80, "P", 70, List.of("active", "active", "resolved"), false),
            new Kind("appointment", 70, "A", 5, List.of("booked", "booked", "cancelled"), false),
            new Kind("vaccination", 50, "V", 15, List.of("done"), false),
            new Kind("contact", 50, "C", 8, List.of("reached", "left message", "no answer"), false));

    record Person(int number, String familyName, int born, String sex, String status, int deceasedOn, String site) {
        static final int ALIVE = Integer.MAX_VALUE;

        int secondBirthday() {
            return Math.toIntExact(
                    LocalDate.ofEpochDay(born - 1L).plusYears(2).plusDays(1).toEpochDay());
        }

        String id() {
            return "p" + number;
        }
    }

    record Event(int number, int person, String kind, String code, int day, String status, double value) {
        static final double NO_VALUE = Double.NaN;

        /** A keyword, which codes of several kinds share. */
        String topic() {
            return Region.topic(Integer.parseInt(code, 1, code.length(), 10) % TOPICS);
        }
    }

    interface Sink {
        void person(Person person);

        void event(Event event);
    }

    /** Makes everything, person by person. */
    void make(Sink sink) {
        SplittableRandom random = new SplittableRandom(people);
        double[] through = sharesThrough();
        int made = 0;

        for (int number = 0; number < people; number++) {
            Person person = person(number, random);
            sink.person(person);
            int last = (int) Math.round(events * through[number]);
            for (; made < last; made++) {
                sink.event(event(made, person, random));
            }
        }
    }

    static String code(String letter, int number) {
        return letter + (number < 10 ? "0" : "") + number;
    }

    static String topic(int number) {
        return "topic " + number;
    }

    /** Up to where the events of each person go, as a share of all. Most people have few, and some very many. */
    private double[] sharesThrough() {
        SplittableRandom random = new SplittableRandom(people + 1L);
        double[] through = new double[people];
        double sum = 0;
        for (int number = 0; number < people; number++) {
            sum += Math.min(MOST_OVER_LEAST, Math.pow(1 - random.nextDouble(), -LONG_TAIL));
            through[number] = sum;
        }
        for (int number = 0; number < people; number++) {
            through[number] /= sum;
        }
        return through;
    }

    private static Person person(int number, SplittableRandom random) {
        int born = TODAY - random.nextInt(95 * 365);
        boolean deceased = random.nextInt(100) < 3;
        int from = Math.max(born, TODAY - YEARS_OF_RECORDS * 365);
        return new Person(
                number,
                "Name" + random.nextInt(NAMES),
                born,
                random.nextBoolean() ? "female" : "male",
                deceased ? "deceased" : random.nextInt(20) == 0 ? "moved away" : "active",
                deceased ? from + random.nextInt(TODAY - from + 1) : Person.ALIVE,
                "site " + random.nextInt(SITES));
    }

    private static Event event(int number, Person person, SplittableRandom random) {
        int share = random.nextInt(1000);
        int kind = 0;
        while (share >= KINDS.get(kind).share()) {
            share -= KINDS.get(kind++).share();
        }
        Kind of = KINDS.get(kind);
        double skewed = random.nextDouble();
        int code = 1 + (int) (of.codes() * skewed * skewed);
        int ahead = of.name().equals("appointment") ? DAYS_AHEAD : 0;
        int from = Math.max(person.born(), TODAY - YEARS_OF_RECORDS * 365);
        return new Event(
                number,
                person.number(),
                of.name(),
                code(of.letter(), code),
                from + random.nextInt(TODAY + ahead - from + 1),
                of.statuses().get(random.nextInt(of.statuses().size())),
                of.hasValue() ? random.nextInt(400) / 2.0 : Event.NO_VALUE);
    }
}
