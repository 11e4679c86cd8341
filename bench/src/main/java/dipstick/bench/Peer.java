package dipstick.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** A database with the region's records, sorted or indexed for the questions. */
final class Peer implements AutoCloseable {
    static final int PATIENCE_SECONDS = 20;

    private static final int BATCH = 10_000;
    private static final List<String> ORDERED_COPY = List.of(
            "CREATE TABLE events AS SELECT * FROM loaded ORDER BY kind, code, person, on_day", "DROP TABLE loaded");
    private static final List<String> INDEXES = List.of(
            "CREATE INDEX events_by_code ON events (kind, code, person, on_day, status, amount)",
            "CREATE INDEX events_by_kind ON events (kind, person, on_day, status)",
            "ANALYZE");

    private final Kind kind;
    private final Connection connection;

    /** The databases, with what a competent person would set for them. */
    enum Kind {
        /** Sorted, so that whole blocks are passed over; it keeps the least and greatest value of each. */
        DUCKDB("DuckDB, 2 threads", List.of("SET threads = 2"), "loaded", ORDERED_COPY),
        SQLITE("SQLite", List.of("PRAGMA cache_size = -4000000"), "events", INDEXES),
        /** It would give the last answer again where nothing changed. */
        H2("H2", List.of("SET OPTIMIZE_REUSE_RESULTS 0"), "events", INDEXES),
        POSTGRESQL("PostgreSQL", List.of("SET work_mem = '256MB'", "SET jit = off"), "events", INDEXES);

        private final String words;
        private final List<String> settings;
        private final String loadedInto;
        private final List<String> afterLoading;

        Kind(String words, List<String> settings, String loadedInto, List<String> afterLoading) {
            this.words = words;
            this.settings = settings;
            this.loadedInto = loadedInto;
            this.afterLoading = afterLoading;
        }
    }

    private Peer(Kind kind, Connection connection) {
        this.kind = kind;
        this.connection = connection;
    }

    /** @param url where the database is, or is made in memory */
    static Peer load(Kind kind, String url, Region region) throws SQLException {
        Connection connection = DriverManager.getConnection(url);
        Peer peer = new Peer(kind, connection);
        peer.run(kind.settings);
        if (kind == Kind.POSTGRESQL) {
            peer.run(List.of("DROP TABLE IF EXISTS people", "DROP TABLE IF EXISTS events"));
        }
        peer.run(List.of(
                "CREATE TABLE people (id INTEGER PRIMARY KEY, family_name VARCHAR(20), born INTEGER, two INTEGER,"
                        + " sex VARCHAR(10), status VARCHAR(12), deceased_on INTEGER, site VARCHAR(10))",
                "CREATE TABLE " + kind.loadedInto + " (person INTEGER, kind VARCHAR(12), code VARCHAR(4),"
                        + " on_day INTEGER, status VARCHAR(14), amount DOUBLE PRECISION, topic VARCHAR(10))"));
        connection.setAutoCommit(false);
        if (kind == Kind.DUCKDB) {
            DuckAppending.fill(connection, region);
        } else {
            peer.insert(region);
        }
        connection.commit();
        connection.setAutoCommit(true);
        peer.run(kind.afterLoading);
        return peer;
    }

    String words() {
        return kind.words;
    }

    /** Whether {@link ManyDays} is in its words. */
    boolean answersManyDays() {
        return kind == Kind.DUCKDB;
    }

    /** How many rows a statement gives, counted by the database. */
    long count(String sql) throws SQLException {
        try (Statement statement = asking();
                ResultSet rows = statement.executeQuery("SELECT count(*) FROM (" + sql + ") AS asked")) {
            rows.next();
            return rows.getLong(1);
        }
    }

    /** The numbers of a statement's only row. */
    List<Long> row(String sql) throws SQLException {
        try (Statement statement = asking();
                ResultSet rows = statement.executeQuery(sql)) {
            rows.next();
            List<Long> numbers = new ArrayList<>();
            for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
                numbers.add(rows.getLong(i));
            }
            return numbers;
        }
    }

    /** The numbers of a statement's only column. */
    List<Long> column(String sql) throws SQLException {
        try (Statement statement = asking();
                ResultSet rows = statement.executeQuery(sql)) {
            List<Long> numbers = new ArrayList<>();
            while (rows.next()) {
                numbers.add(rows.getLong(1));
            }
            return numbers;
        }
    }

    /** Fetches the ids that a statement selects; returns how many. */
    int fetch(String sql) throws SQLException {
        try (Statement statement = asking();
                ResultSet rows = statement.executeQuery(sql)) {
            int[] ids = new int[1 << 20];
            int size = 0;
            while (rows.next()) {
                ids[size++] = rows.getInt(1);
            }
            return size;
        }
    }

    /** Person and band, in the order of the people; the band is empty where there is none. */
    TreeMap<Integer, String> members(String sql) throws SQLException {
        try (Statement statement = asking();
                ResultSet rows = statement.executeQuery(sql)) {
            TreeMap<Integer, String> members = new TreeMap<>();
            boolean banded = rows.getMetaData().getColumnCount() > 1;
            while (rows.next()) {
                members.put(rows.getInt(1), banded ? rows.getString(2) : "");
            }
            return members;
        }
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }

    /** A statement that is given up after a while; the column database answers all in time, and its driver has no limit. */
    private Statement asking() throws SQLException {
        Statement statement = connection.createStatement();
        if (kind != Kind.DUCKDB) {
            statement.setQueryTimeout(PATIENCE_SECONDS);
        }
        return statement;
    }

    void run(List<String> statements) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
    }

    private void insert(Region region) throws SQLException {
        try (PreparedStatement people = connection.prepareStatement("INSERT INTO people VALUES (?,?,?,?,?,?,?,?)");
                PreparedStatement events = connection.prepareStatement("INSERT INTO events VALUES (?,?,?,?,?,?,?)")) {
            region.make(new Inserting(people, events));
            people.executeBatch();
            events.executeBatch();
        }
    }

    /** Puts rows in by batches. */
    private static final class Inserting implements Region.Sink {
        private final PreparedStatement people;
        private final PreparedStatement events;
        private int waiting;

        Inserting(PreparedStatement people, PreparedStatement events) {
            this.people = people;
            this.events = events;
        }

        @Override
        public void person(Region.Person person) {
            add(
                    people,
                    person.number(),
                    person.familyName(),
                    person.born(),
                    person.secondBirthday(),
                    person.sex(),
                    person.status(),
                    person.deceasedOn(),
                    person.site());
        }

        @Override
        public void event(Region.Event event) {
            add(
                    events,
                    event.person(),
                    event.kind(),
                    event.code(),
                    event.day(),
                    event.status(),
                    Double.isNaN(event.value()) ? null : event.value(),
                    event.topic());
        }

        private void add(PreparedStatement statement, @Nullable Object... cells) {
            try {
                for (int i = 0; i < cells.length; i++) {
                    statement.setObject(i + 1, cells[i]);
                }
                statement.addBatch();
                if (++waiting % BATCH == 0) {
                    people.executeBatch();
                    events.executeBatch();
                }
            } catch (SQLException failure) {
                throw new IllegalStateException(failure);
            }
        }
    }
}
