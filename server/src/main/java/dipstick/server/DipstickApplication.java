package dipstick.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the server. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class DipstickApplication {
    public static void main(String[] arguments) {
        // Looking each value up in a cache of values makes reading all events about half as long again.
        System.setProperty("h2.objectCache", "false");
        SpringApplication.run(DipstickApplication.class, arguments);
    }
}
