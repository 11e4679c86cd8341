package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.intake.files.RowsFile;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NoTablesTest {
    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource({
        "'\u0089PNG\r\n\u001A\n\0\0', This is a picture",
        "'\u00FF\u00D8\u00FF\u00E0\0\u0010JFIF', This is a picture",
        "GIF89a, This is a picture",
        "'%PDF-1.7\n%\u00E2\u00E3', This is a PDF",
    })
    void what_only_a_person_can_read_is_called_what_it_is(String bytes, String called) throws IOException {
        Path file = Files.writeString(folder.resolve("people.csv"), bytes, StandardCharsets.ISO_8859_1);

        assertThatThrownBy(() -> RowsFile.of(file, RowsFile.Said.NOTHING))
                .isInstanceOf(UnreadableRows.class)
                .hasMessageStartingWith(called)
                .hasMessageEndingWith("Save the table itself, as CSV or a workbook, and send that.");
    }
}
