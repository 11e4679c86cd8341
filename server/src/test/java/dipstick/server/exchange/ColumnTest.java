package dipstick.server.exchange;

import dipstick.server.WrittenFile;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

class ColumnTest {
    private record Told(Column column, String header, boolean contact) {}

    /** Written by {@code -Dcolumns.write=true}. */
    @Test
    void pages_offer_the_columns_that_there_are() throws Exception {
        WrittenFile.sameAs(
                "web/src/exchange/columns.json",
                Arrays.stream(Column.values())
                        .map(column -> new Told(column, column.header(), column.isContact()))
                        .toList(),
                "columns.write");
    }
}
