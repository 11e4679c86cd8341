package dipstick.server.upkeep;

import dipstick.server.database.DatabaseKey;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;

@Configuration
class DatabaseKeyConfiguration {
    @Bean
    DatabaseKey databaseKey(Environment settings) {
        return DatabaseKey.of(
                name -> Optional.ofNullable(settings.getProperty(name)).orElse(""));
    }
}
