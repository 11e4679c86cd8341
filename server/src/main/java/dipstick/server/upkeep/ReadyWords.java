package dipstick.server.upkeep;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Says where the pages are once they are there. */
@Component
class ReadyWords {
    private static final Logger LOG = LoggerFactory.getLogger(ReadyWords.class);

    private final Environment settings;

    ReadyWords(Environment settings) {
        this.settings = settings;
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        boolean tls = settings.containsProperty("server.ssl.key-store")
                || settings.containsProperty("server.ssl.certificate");
        String address = settings.getProperty("server.address", "");
        boolean here = address.isBlank() || address.equals("127.0.0.1");
        LOG.info(
                "Dipstick is ready at {}://{}:{}",
                tls ? "https" : "http",
                here ? "localhost" : address,
                settings.getProperty("local.server.port"));
    }
}
