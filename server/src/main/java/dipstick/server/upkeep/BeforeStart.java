package dipstick.server.upkeep;

import dipstick.server.database.DatabaseKey;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.Environment;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** Refuses to start where it could not go well, before anything is opened (docs/operations.md). */
public final class BeforeStart implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {
    private static final String MIGRATIONS = "classpath:db/migration/V*.sql";
    private static final String URL = "spring.datasource.url";
    private static final Pattern VERSION = Pattern.compile("V(\\d+)__.*");

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent prepared) {
        ConfigurableEnvironment settings = prepared.getEnvironment();
        DatabaseKey key = DataFolder.key(
                name -> Optional.ofNullable(settings.getProperty(name)).orElse(""));
        new DataFolder(Path.of(settings.getProperty("dipstick.data", "data")), key).prepare(newest());
        if (key.isGiven()) {
            settings.getPropertySources()
                    .addFirst(new MapPropertySource(
                            "the key of the database",
                            Map.of(
                                    URL,
                                    key.url(settings.getRequiredProperty(URL)),
                                    "spring.datasource.password",
                                    key.password())));
        }
        requireFree(settings);
    }

    private static void requireFree(Environment settings) {
        int port = settings.getProperty("server.port", Integer.class, 0);
        String address = settings.getProperty("server.address", "");
        try (ServerSocket free = new ServerSocket()) {
            free.setReuseAddress(true);
            free.bind(
                    address.isBlank()
                            ? new InetSocketAddress(port)
                            : new InetSocketAddress(InetAddress.getByName(address), port));
        } catch (BindException taken) {
            throw new CannotStart(
                    "Port " + port + " is taken by another program, or " + address
                            + " is no address of this machine. Name another with --port or --address.",
                    taken);
        } catch (IOException failure) {
            throw new CannotStart(
                    "The address " + address + " cannot be listened on: " + failure.getMessage(), failure);
        }
    }

    /** The latest version of the database that this Dipstick makes. */
    static int newest() {
        try {
            return Arrays.stream(new PathMatchingResourcePatternResolver().getResources(MIGRATIONS))
                    .map(one -> VERSION.matcher(
                            Optional.ofNullable(one.getFilename()).orElse("")))
                    .filter(Matcher::matches)
                    .mapToInt(version -> Integer.parseInt(version.group(1)))
                    .max()
                    .orElseThrow();
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The migrations cannot be read", unreadable);
        }
    }
}
