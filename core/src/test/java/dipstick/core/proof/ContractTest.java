package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What comments say of the contract is to be found there: docs/criteria.md has an anchor for each section they name. */
class ContractTest {
    private static final Path PRODUCT = Path.of("..");

    /** As in "criteria.md section 4, due date)". */
    private static final Pattern NAMED = Pattern.compile(
            "criteria\\.md,?\\s+section (\\d)(?:, ([a-z ]+?)| (?=[,.;]))?(?=[).,;:]|$)", Pattern.MULTILINE);

    private static final Pattern ANCHOR = Pattern.compile("<a id=\"([^\"]+)\"></a>");

    @Test
    void each_section_that_a_comment_names_has_its_anchor() throws IOException {
        Set<String> anchors = ANCHOR.matcher(Files.readString(PRODUCT.resolve("docs/criteria.md")))
                .results()
                .map(anchor -> anchor.group(1))
                .collect(Collectors.toSet());
        Set<String> named = new TreeSet<>();
        for (String module : List.of("core", "intake", "command", "server", "region")) {
            try (Stream<Path> files = Files.walk(PRODUCT.resolve(module).resolve("src/main/java"))) {
                for (Path file :
                        files.filter(one -> one.toString().endsWith(".java")).toList()) {
                    NAMED.matcher(Files.readString(file).replaceAll("\\n\\s*\\*", ""))
                            .results()
                            .flatMap(ContractTest::anchorsOf)
                            .forEach(named::add);
                }
            }
        }
        assertThat(named).contains("section-1", "due-date");
        assertThat(anchors).containsAll(named);
    }

    private static Stream<String> anchorsOf(MatchResult named) {
        return Stream.concat(
                Stream.of("section-" + named.group(1)),
                Stream.ofNullable(named.group(2)).map(words -> words.strip().replace(' ', '-')));
    }
}
