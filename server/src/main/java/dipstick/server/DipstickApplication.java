package dipstick.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts the server. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class DipstickApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(DipstickApplication.class, arguments);
    }
}
