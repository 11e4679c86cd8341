package dipstick.server.records;

import java.util.Set;
import org.springframework.stereotype.Component;

/** Whom the numbers of a file mean, and what it says of them for later ones. */
@Component
class FileNumbers {
    private final FurtherNumberMapper numbers;
    private final OtherNumbers otherNumbers;
    private final JoinedMapper joined;
    private final RecordsMapper records;

    FileNumbers(FurtherNumberMapper numbers, OtherNumbers otherNumbers, JoinedMapper joined, RecordsMapper records) {
        this.numbers = numbers;
        this.otherNumbers = otherNumbers;
        this.joined = joined;
        this.records = records;
    }

    /**
     * @param source whose numbers they are; empty for what every source means
     * @param onFile everybody's own numbers
     */
    WhoIsMeant of(String source, Set<String> onFile) {
        return new WhoIsMeant(source, onFile, numbers.meantBy(source));
    }

    /** For one file. */
    JoinedInFile joinedInFile() {
        return new JoinedInFile(otherNumbers, joined, records);
    }

    /** Keeps what the file said of numbers. */
    void keep(WhoIsMeant said, String source, long delivery) {
        said.learned(delivery).forEach(numbers::keep);
        said.saidToBeOne().forEach(both -> joined.saidToBeOne(both.person(), both.number(), source));
    }
}
