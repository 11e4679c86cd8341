package dipstick.server.records;

import java.time.LocalDate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of files that were brought in; the records themselves are not concerned. */
@Service
public class PastImports {
    private final ImportLogMapper log;

    PastImports(ImportLogMapper log) {
        this.log = log;
    }

    @Transactional
    public void forgetBefore(LocalDate day) {
        log.deleteBefore(day);
    }
}
