package dipstick.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What Dipstick is made of is what its page says. */
class DependenciesTest {
    private static final Path ROOT = Path.of("..");

    /** Modules of the house, which need no reason. */
    private static final List<String> OURS =
            List.of("core", "intake", "command", "web", "server", "demo", "e2e", "bench", "region");

    private static final Pattern DEPENDENCY = Pattern.compile(
            "<dependency>\\s*<groupId>([^<]+)</groupId>\\s*<artifactId>([^<]+)</artifactId>", Pattern.DOTALL);
    private static final Pattern NAMED = Pattern.compile("`([^`]+)`");

    @Test
    void each_dependency_says_why_it_is_there_and_none_that_is_gone_does() throws IOException {
        assertThat(named()).isEqualTo(used());
    }

    private static Set<String> named() throws IOException {
        Set<String> named = new TreeSet<>();
        for (String line : Files.readAllLines(ROOT.resolve("docs/dependencies.md"))) {
            if (line.startsWith("| `")) {
                String first = line.split("\\|")[1];
                NAMED.matcher(first).results().map(name -> name.group(1)).forEach(named::add);
            }
        }
        return named;
    }

    private static Set<String> used() throws IOException {
        Set<String> used = new TreeSet<>();
        for (String module : OURS) {
            Path pom = ROOT.resolve(module).resolve("pom.xml");
            if (Files.exists(pom)) {
                DEPENDENCY
                        .matcher(Files.readString(pom))
                        .results()
                        .filter(one -> !one.group(1).equals("dipstick"))
                        .map((MatchResult one) -> one.group(2))
                        .filter(name -> !OURS.contains(name))
                        .forEach(used::add);
            }
        }
        JsonNode pages = JsonMapper.shared().readTree(Files.readString(ROOT.resolve("web/package.json")));
        Stream.of("dependencies", "devDependencies")
                .flatMap(which -> pages.get(which).propertyNames().stream())
                .forEach(used::add);
        return used;
    }
}
