package dipstick.server.records;

import java.time.LocalDate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of files that were brought in, and how to take them back; the records themselves are not concerned. */
@Service
public class PastImports {
    private final ImportLogMapper log;
    private final DeliveryMapper deliveries;

    PastImports(ImportLogMapper log, DeliveryMapper deliveries) {
        this.log = log;
        this.deliveries = deliveries;
    }

    @Transactional
    public void forgetBefore(LocalDate day) {
        log.deleteBefore(day);
        deliveries.forgetWithoutDelivery();
        deliveries.forgetPeopleWithoutDelivery();
        deliveries.forgetEventsWithoutDelivery();
    }
}
