package dipstick.server.privacy;

import dipstick.server.practice.Today;
import dipstick.server.records.OffFile;
import dipstick.server.records.PastImports;
import java.time.LocalDate;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Lets what is kept no longer go, each night. */
@Component
class Retention {
    private static final Logger LOG = LoggerFactory.getLogger(Retention.class);

    private final RetentionSettings settings;
    private final OffFile offFile;
    private final PastImports pastImports;
    private final Erasures erasures;
    private final Today today;

    Retention(RetentionSettings settings, OffFile offFile, PastImports pastImports, Erasures erasures, Today today) {
        this.settings = settings;
        this.offFile = offFile;
        this.pastImports = pastImports;
        this.erasures = erasures;
        this.today = today;
    }

    @Scheduled(cron = "0 15 1 * * *", zone = "${dipstick.zone:}")
    void everyNight() {
        LocalDate day = today.day();
        offFile.notice(day);
        if (settings.offFileDays() > 0) {
            List<String> over = offFile.since(day.minusDays(settings.offFileDays()));
            Asked asked = new Asked("a rule of the practice", "off file for " + settings.offFileDays() + " days");
            erasures.erase(over, asked, "dipstick");
            if (!over.isEmpty()) {
                LOG.info("{} people who were off file for {} days were erased", over.size(), settings.offFileDays());
            }
        }
        if (settings.importLogDays() > 0) {
            pastImports.forgetBefore(day.minusDays(settings.importLogDays()));
        }
    }
}
