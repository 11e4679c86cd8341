package dipstick.server.records;

import dipstick.server.records.RecordsMapper.StoredEvent;
import dipstick.server.records.RecordsMapper.StoredPerson;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.ResultMap;
import org.apache.ibatis.mapping.ResultSetType;
import org.apache.ibatis.mapping.SqlCommandType;
import org.apache.ibatis.scripting.defaults.RawSqlSource;
import org.apache.ibatis.session.Configuration;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.stereotype.Component;

/**
 * The statements of {@link RecordsMapper} that name every column of a record. They follow from {@link KnownColumns} and
 * are read once; a provider would have them read again for each row.
 */
@Component
class RecordsStatements implements ConfigurationCustomizer {
    private static final int FETCHED_AT_ONCE = 1000;

    /** What no file says is the day of its delivery; what was kept before stays. */
    private static final List<String> KEPT_WHERE_MISSING = List.of("recorded_first", "recorded_last");

    private static final String PEOPLE = "SELECT " + KnownColumns.PERSON.select() + " FROM ";
    private static final String EVENTS = "SELECT " + KnownColumns.EVENT.select() + " FROM ";

    @Override
    public void customize(Configuration configuration) {
        people(configuration);
        events(configuration);
    }

    private static void people(Configuration configuration) {
        List<String> columns = KnownColumns.PERSON.names();
        write(configuration, "insertPerson", SqlCommandType.INSERT, insert("person", columns, "said_by", "came_at"));
        write(configuration, "updatePerson", SqlCommandType.UPDATE, update("person", columns, "id"));
        Reading reading = new Reading(configuration, StoredPerson.class);
        reading.add("allPeople", PEOPLE + "person ORDER BY id");
        reading.add("people", PEOPLE + RecordsMapper.IDS_WANTED + " INNER JOIN person ON id = wanted");
        reading.add("peopleBefore", PEOPLE + "person_before WHERE id = #{person} ORDER BY delivery DESC");
        reading.add("personBefore", PEOPLE + "person_before WHERE id = #{id} AND delivery = #{delivery}");
    }

    private static void events(Configuration configuration) {
        List<String> columns = KnownColumns.EVENT.names();
        write(
                configuration,
                "insertEvent",
                SqlCommandType.INSERT,
                insert("event", columns, "record_key", "fingerprint"));
        write(
                configuration,
                "updateEvent",
                SqlCommandType.UPDATE,
                update("event", columns, "record_key", "fingerprint"));
        Reading reading = new Reading(configuration, StoredEvent.class);
        reading.add("allEvents", EVENTS + "event");
        reading.add("eventsOf", EVENTS + RecordsMapper.IDS_WANTED + " INNER JOIN event ON person_id = wanted");
        reading.add("eventsByKey", EVENTS + RecordsMapper.KEYS_WANTED + " INNER JOIN event ON record_key = wanted");
        reading.add("eventsBefore", EVENTS + "event_before WHERE person_id = #{person} ORDER BY delivery DESC");
    }

    private static String insert(String table, List<String> columns, String... more) {
        List<String> all = Stream.concat(columns.stream(), Stream.of(more)).toList();
        return "INSERT INTO " + table + " (" + String.join(", ", all) + ") VALUES ("
                + all.stream().map(name -> "#{" + name + "}").collect(Collectors.joining(", ")) + ")";
    }

    private static String update(String table, List<String> columns, String key, String... more) {
        UnaryOperator<String> given = name -> KEPT_WHERE_MISSING.contains(name)
                ? name + " = COALESCE(#{" + name + "}, " + name + ")"
                : name + " = #{" + name + "}";
        return "UPDATE " + table + " SET "
                + Stream.concat(columns.stream(), Stream.of(more))
                        .filter(name -> !name.equals(key))
                        .map(given)
                        .collect(Collectors.joining(", "))
                + " WHERE " + key + " = #{" + key + "}";
    }

    private static void write(Configuration configuration, String name, SqlCommandType type, String sql) {
        configuration.addMappedStatement(
                statement(configuration, name, sql, type).build());
    }

    private static MappedStatement.Builder statement(
            Configuration configuration, String name, String sql, SqlCommandType type) {
        return new MappedStatement.Builder(
                configuration, idOf(name), new RawSqlSource(configuration, sql, Map.class), type);
    }

    private static String idOf(String name) {
        return RecordsMapper.class.getName() + "." + name;
    }

    /** Row by row, with the {@link RowReader} of what is read. */
    private record Reading(Configuration configuration, Class<?> read) {
        void add(String name, String sql) {
            configuration.addMappedStatement(statement(configuration, name, sql, SqlCommandType.SELECT)
                    .resultMaps(List.of(new ResultMap.Builder(configuration, idOf(name), read, List.of()).build()))
                    .fetchSize(FETCHED_AT_ONCE)
                    .resultSetType(ResultSetType.FORWARD_ONLY)
                    .build());
        }
    }
}
