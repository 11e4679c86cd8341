package dipstick.core.proof;

import dipstick.core.Records;
import dipstick.core.population.Population;
import dipstick.core.proof.RandomRecords.Made;
import java.time.LocalDate;
import java.util.Random;

/** Random records and the day on which they are looked at, the same for the same seed. */
record RandomCase(Random random, LocalDate asOf, RandomRecords maker, Made records, Population population) {
    static RandomCase of(int seed, int people) {
        Random random = new Random(seed);
        LocalDate asOf = RandomRecords.asOf(random);
        RandomRecords maker = new RandomRecords(random, asOf);
        Made records = maker.make(people);
        return new RandomCase(random, asOf, maker, records, Records.of(records.peopleFile(), records.eventsFile()));
    }

    RandomDocuments documents() {
        return new RandomDocuments(random, maker, asOf);
    }
}
