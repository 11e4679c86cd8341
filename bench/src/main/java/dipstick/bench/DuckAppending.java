package dipstick.bench;

import java.sql.Connection;
import java.sql.SQLException;
import org.duckdb.DuckDBAppender;
import org.duckdb.DuckDBConnection;

/** Fills the column database through its appender, its fastest way in. */
final class DuckAppending implements Region.Sink {
    private final DuckDBAppender people;
    private final DuckDBAppender events;

    private DuckAppending(DuckDBAppender people, DuckDBAppender events) {
        this.people = people;
        this.events = events;
    }

    static void fill(Connection connection, Region region) throws SQLException {
        DuckDBConnection duck = connection.unwrap(DuckDBConnection.class);
        try (DuckDBAppender people = duck.createAppender("people");
                DuckDBAppender events = duck.createAppender("loaded")) {
            region.make(new DuckAppending(people, events));
        }
    }

    @Override
    public void person(Region.Person person) {
        try {
            people.beginRow();
            people.append(person.number());
            people.append(person.familyName());
            people.append(person.born());
            people.append(person.secondBirthday());
            people.append(person.sex());
            people.append(person.status());
            people.append(person.deceasedOn());
            people.append(person.site());
            people.endRow();
        } catch (SQLException failure) {
            throw new IllegalStateException(failure);
        }
    }

    @Override
    public void event(Region.Event event) {
        try {
            events.beginRow();
            events.append(event.person());
            events.append(event.kind());
            events.append(event.code());
            events.append(event.day());
            events.append(event.status());
            if (Double.isNaN(event.value())) {
                events.appendNull();
            } else {
                events.append(event.value());
            }
            events.append(event.topic());
            events.endRow();
        } catch (SQLException failure) {
            throw new IllegalStateException(failure);
        }
    }
}
