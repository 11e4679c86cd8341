package dipstick.server.readings;

import dipstick.server.records.View;
import dipstick.server.records.Views;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** From which records each list was read last, since the server started. */
@Component
class LastRead {
    private final Views views;
    private final Map<String, Basis> bySet = new ConcurrentHashMap<>();

    LastRead(Views views) {
        this.views = views;
    }

    private record Basis(long reading, long view) {}

    void keep(TakenReading reading, View view) {
        bySet.put(reading.setId(), new Basis(reading.id(), view.version()));
    }

    /** Whose records alone are others than at a reading; nothing where that is not known. */
    Optional<Set<String>> changedSince(TakenReading reading) {
        return Optional.ofNullable(bySet.get(reading.setId()))
                .filter(basis -> basis.reading() == reading.id())
                .flatMap(basis -> views.changedSince(basis.view()));
    }
}
