package dipstick.server.database;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;

/** Whoever reads a row that comes and goes finds it, or does not; it is no error. */
class ReadWhileRemovedTest {
    private static final int READERS = 3;
    private static final int ROUNDS = 2000;

    @Test
    void a_row_that_comes_and_goes_is_there_or_not() throws Exception {
        DataSource database = RunningServer.shared().bean(DataSource.class);
        run(database, "CREATE TABLE comes_and_goes (id VARCHAR(20) PRIMARY KEY, said VARCHAR)");
        AtomicBoolean goesOn = new AtomicBoolean(true);
        try (ExecutorService readers = Executors.newFixedThreadPool(READERS)) {
            List<Future<Integer>> found = new ArrayList<>();
            for (int i = 0; i < READERS; i++) {
                found.add(readers.submit(() -> reads(database, goesOn)));
            }
            for (int round = 0; round < ROUNDS; round++) {
                run(database, "INSERT INTO comes_and_goes VALUES ('one', 'here')");
                run(database, "DELETE FROM comes_and_goes");
            }
            goesOn.set(false);
            for (Future<Integer> reader : found) {
                assertThat(reader.get()).isPositive();
            }
        } finally {
            run(database, "DROP TABLE comes_and_goes");
        }
    }

    private static int reads(DataSource database, AtomicBoolean goesOn) throws Exception {
        int reads = 0;
        try (Connection connection = database.getConnection()) {
            while (goesOn.get()) {
                try (PreparedStatement read =
                        connection.prepareStatement("SELECT said FROM comes_and_goes WHERE id = ?")) {
                    read.setString(1, "one");
                    try (ResultSet rows = read.executeQuery()) {
                        while (rows.next()) {
                            assertThat(rows.getString(1)).isEqualTo("here");
                        }
                    }
                    reads++;
                }
            }
        }
        return reads;
    }

    private static void run(DataSource database, String sql) throws Exception {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }
}
