package dipstick.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Files that hold what the server decides, for the pages and for programs, so that it is not decided twice. */
public final class WrittenFile {
    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    private WrittenFile() {}

    /**
     * @param file from the root of the sources
     * @param property which writes the file anew where it is set to true
     */
    public static void sameAs(String file, Object content, String property) throws IOException {
        Path path = Path.of("..").resolve(file);
        if (Boolean.getBoolean(property)) {
            Files.writeString(path, JSON.writeValueAsString(content) + "\n");
        }
        assertThat(JSON.readTree(path))
                .as("%s; -D%s=true writes it", path, property)
                .isEqualTo(JSON.valueToTree(content));
    }
}
