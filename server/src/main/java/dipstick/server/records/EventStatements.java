package dipstick.server.records;

import dipstick.server.records.RecordsMapper.StoredEvent;
import java.util.List;
import java.util.Map;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.ResultMap;
import org.apache.ibatis.mapping.ResultSetType;
import org.apache.ibatis.mapping.SqlCommandType;
import org.apache.ibatis.scripting.defaults.RawSqlSource;
import org.apache.ibatis.session.Configuration;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.stereotype.Component;

/**
 * The statements of {@link RecordsMapper} that name every column of an event. They follow from {@link EventColumns} and
 * are read once; a provider would have them read again for each row.
 */
@Component
class EventStatements implements ConfigurationCustomizer {
    private static final int FETCHED_AT_ONCE = 1000;

    @Override
    public void customize(Configuration configuration) {
        add(configuration, "insertEvent", EventColumns.insert(), SqlCommandType.INSERT);
        add(configuration, "updateEvent", EventColumns.update(), SqlCommandType.UPDATE);
        String select = "SELECT " + EventColumns.select() + " FROM ";
        add(configuration, "allEvents", select + "event", SqlCommandType.SELECT);
        add(
                configuration,
                "eventsOf",
                select + RecordsMapper.IDS_WANTED + " INNER JOIN event ON person_id = wanted",
                SqlCommandType.SELECT);
        add(
                configuration,
                "eventsByKey",
                select + RecordsMapper.KEYS_WANTED + " INNER JOIN event ON record_key = wanted",
                SqlCommandType.SELECT);
        add(
                configuration,
                "eventsBefore",
                "SELECT " + EventColumns.select()
                        + " FROM event_before WHERE person_id = #{person} ORDER BY delivery DESC",
                SqlCommandType.SELECT);
    }

    private static void add(Configuration configuration, String name, String sql, SqlCommandType type) {
        String id = RecordsMapper.class.getName() + "." + name;
        MappedStatement.Builder statement =
                new MappedStatement.Builder(configuration, id, new RawSqlSource(configuration, sql, Map.class), type);
        if (type == SqlCommandType.SELECT) {
            statement
                    .resultMaps(List.of(new ResultMap.Builder(configuration, id, StoredEvent.class, List.of()).build()))
                    .fetchSize(FETCHED_AT_ONCE)
                    .resultSetType(ResultSetType.FORWARD_ONLY);
        }
        configuration.addMappedStatement(statement.build());
    }
}
