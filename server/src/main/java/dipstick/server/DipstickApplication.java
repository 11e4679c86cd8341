package dipstick.server;

import dipstick.server.upkeep.CannotStart;
import dipstick.server.upkeep.Commands;
import java.util.List;
import java.util.Optional;
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
        Optional<Integer> command = Commands.run(List.of(arguments), System.out, System.err);
        command.ifPresent(System::exit);
        // Looking each value up in a cache of values makes reading all events about half as long again.
        System.setProperty("h2.objectCache", "false");
        try {
            SpringApplication.run(DipstickApplication.class, arguments);
        } catch (CannotStart refused) {
            System.err.println("dipstick: " + refused.sentence());
            System.exit(1);
        }
    }
}
