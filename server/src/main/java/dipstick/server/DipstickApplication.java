package dipstick.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts the server. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class DipstickApplication {
    public static void main(String[] arguments) {
        // Looking each value up in a cache of values makes reading all events about half as long again.
        System.setProperty("h2.objectCache", "false");
        SpringApplication.run(DipstickApplication.class, arguments);
    }
}
