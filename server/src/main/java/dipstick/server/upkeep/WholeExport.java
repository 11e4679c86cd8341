package dipstick.server.upkeep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Everything in open formats: a CSV file of each table (RFC 4180 in UTF-8; a text is quoted, what is missing is empty), in
 * which criteria sets stand as JSON (criteria.md, section 4), and a file that says what each column is (W3C Metadata
 * Vocabulary for Tabular Data). The same practice can be made again of it.
 */
final class WholeExport {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String ABOUT = "metadata.json";
    private static final String VERSION = "urn:dipstick:version";
    private static final String ROWS = "urn:dipstick:rows";
    private static final String HISTORY = "flyway_schema_history";

    /** As H2 writes and reads them; a comma is its own choice too, but it is said here. */
    private static final String OPTIONS = "charset=UTF-8 fieldSeparator=, lineSeparator=\n";

    private WholeExport() {}

    private record Column(String name, String type, boolean isCounted) {}

    private record Table(String name, List<Column> columns) {
        String file() {
            return name.toLowerCase(Locale.ROOT) + ".csv";
        }

        String columnNames() {
            return columns.stream().map(column -> quoted(column.name())).collect(Collectors.joining(", "));
        }
    }

    /** Writes everything into a folder that is there and empty. */
    static void write(Connection database, Path folder) throws IOException, SQLException {
        ObjectNode about = JSON.createObjectNode();
        about.put("@context", "http://www.w3.org/ns/csvw");
        about.put(VERSION, DataFolder.version(database));
        ArrayNode described = about.putArray("tables");
        for (Table table : tables(database)) {
            String select = "SELECT " + table.columnNames() + " FROM " + quoted(table.name()) + " ORDER BY 1";
            try (PreparedStatement written = database.prepareStatement("CALL CSVWRITE(?, ?, ?)")) {
                written.setString(1, folder.resolve(table.file()).toString());
                written.setString(2, select);
                written.setString(3, OPTIONS);
                written.execute();
            }
            describe(described.addObject(), table, rows(database, table));
        }
        Files.writeString(
                folder.resolve(ABOUT), JSON.writerWithDefaultPrettyPrinter().writeValueAsString(about));
    }

    private static void describe(ObjectNode described, Table table, long rows) {
        described.put("url", table.file());
        described.put(ROWS, rows);
        ArrayNode columns = described.putObject("tableSchema").putArray("columns");
        table.columns()
                .forEach(column ->
                        columns.addObject().put("name", column.name()).put("datatype", datatype(column.type())));
    }

    /** The name that XML Schema has for a type of SQL. */
    private static String datatype(String type) {
        return switch (type) {
            case "INTEGER", "BIGINT" -> "integer";
            case "DOUBLE PRECISION" -> "double";
            case "BOOLEAN" -> "boolean";
            case "DATE" -> "date";
            default -> "string";
        };
    }

    /** The version of the database that a folder was written from; refused where it is no such folder. */
    static int version(Path folder) throws IOException {
        Path about = folder.resolve(ABOUT);
        if (!Files.isReadable(about)) {
            throw new CannotStart("There is no " + ABOUT + " in " + folder
                    + ", so it is no folder that “dipstick export” wrote. Nothing was brought in.");
        }
        return JSON.readTree(Files.readString(about)).path(VERSION).asInt(0);
    }

    /** Brings everything into a database of the same version, in place of what a new one holds. */
    static void read(Path folder, Connection database) throws IOException, SQLException {
        JsonNode about = JSON.readTree(Files.readString(folder.resolve(ABOUT)));
        try (Statement sql = database.createStatement()) {
            sql.execute("SET REFERENTIAL_INTEGRITY FALSE");
            for (Table table : tables(database)) {
                long expected = about.path("tables")
                        .valueStream()
                        .filter(one -> one.path("url").asString("").equals(table.file()))
                        .mapToLong(one -> one.path(ROWS).asLong(-1))
                        .findFirst()
                        .orElse(-1);
                read(folder.resolve(table.file()), database, table, expected);
            }
            for (Table table : tables(database)) {
                sql.execute("ALTER TABLE " + quoted(table.name()) + " SET REFERENTIAL_INTEGRITY TRUE CHECK");
            }
            sql.execute("SET REFERENTIAL_INTEGRITY TRUE");
        }
    }

    private static void read(Path file, Connection database, Table table, long expected) throws SQLException {
        if (!Files.isReadable(file)) {
            throw new CannotStart("The file " + file + " is missing or cannot be read. Nothing was brought in.");
        }
        try (Statement sql = database.createStatement()) {
            sql.execute("DELETE FROM " + quoted(table.name()));
        }
        try (Statement sql = database.createStatement()) {
            sql.execute("INSERT INTO " + quoted(table.name()) + " (" + table.columnNames()
                    + ") OVERRIDING SYSTEM VALUE SELECT " + table.columnNames() + " FROM CSVREAD("
                    + literal(file.toString()) + ", NULL, " + literal(OPTIONS) + ")");
        }
        long found = rows(database, table);
        if (found != expected) {
            throw new CannotStart("There are " + found + " rows in " + file + " where " + ABOUT + " says " + expected
                    + ". Nothing was brought in.");
        }
        for (Column column : table.columns()) {
            if (column.isCounted()) {
                goOnCounting(database, table, column);
            }
        }
    }

    private static void goOnCounting(Connection database, Table table, Column column) throws SQLException {
        try (Statement sql = database.createStatement()) {
            ResultSet last = sql.executeQuery(
                    "SELECT COALESCE(MAX(" + quoted(column.name()) + "), 0) FROM " + quoted(table.name()));
            last.next();
            long next = last.getLong(1) + 1;
            sql.execute("ALTER TABLE " + quoted(table.name()) + " ALTER COLUMN " + quoted(column.name())
                    + " RESTART WITH " + next);
        }
    }

    private static long rows(Connection database, Table table) throws SQLException {
        try (Statement sql = database.createStatement()) {
            ResultSet count = sql.executeQuery("SELECT COUNT(*) FROM " + quoted(table.name()));
            count.next();
            return count.getLong(1);
        }
    }

    /** All but the one in which it is written which migrations were made. */
    private static List<Table> tables(Connection database) throws SQLException {
        DatabaseMetaData about = database.getMetaData();
        List<Table> tables = new ArrayList<>();
        try (ResultSet found = about.getTables(null, "PUBLIC", null, new String[] {"BASE TABLE"})) {
            while (found.next()) {
                String name = found.getString("TABLE_NAME");
                if (!name.equals(HISTORY)) {
                    tables.add(new Table(name, columns(about, name)));
                }
            }
        }
        return tables;
    }

    private static List<Column> columns(DatabaseMetaData about, String table) throws SQLException {
        List<Column> columns = new ArrayList<>();
        try (ResultSet found = about.getColumns(null, "PUBLIC", table, null)) {
            while (found.next()) {
                columns.add(new Column(
                        found.getString("COLUMN_NAME"),
                        found.getString("TYPE_NAME"),
                        found.getString("IS_AUTOINCREMENT").equals("YES")));
            }
        }
        return columns;
    }

    /** The columns of a file are known only where its name stands in the statement itself. */
    private static String literal(String text) {
        return "'" + text.replace("'", "''") + "'";
    }

    private static String quoted(String name) {
        return "\"" + name + "\"";
    }
}
