package dipstick.intake.contacts;

import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import dipstick.intake.rows.UnreadableRows;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Queue;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.CalendarParserFactory;
import net.fortuna.ical4j.data.ContentHandlerContext;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Content;
import net.fortuna.ical4j.model.Parameter;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.PropertyFactory;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.CalendarComponent;
import net.fortuna.ical4j.model.property.DateProperty;

/**
 * The events of iCalendar files as rows, an appointment for each person who attends (RFC 5545). People are known there by
 * their mail address. The place of a row is that of its event, counted from 1.
 */
public final class CalendarRows implements Rows {
    private static final String END = "END:VCALENDAR";

    /** Of appointments, and of the time zones that a calendar brings along. */
    private static final List<PropertyFactory<?>> READ = AsWritten.of(List.of(
            Property.METHOD,
            Property.UID,
            Property.RECURRENCE_ID,
            Property.SUMMARY,
            Property.DTSTART,
            Property.DTEND,
            Property.STATUS,
            Property.LOCATION,
            Property.CATEGORIES,
            Property.CREATED,
            Property.ORGANIZER,
            Property.ATTENDEE,
            Property.RRULE,
            Property.TZID,
            Property.TZOFFSETFROM,
            Property.TZOFFSETTO,
            Property.RDATE));

    private final BufferedReader text;
    private final Queue<Row> ready = new ArrayDeque<>();
    private long place;
    private long line;

    private CalendarRows(BufferedReader text) {
        this.text = text;
        ready.add(OwnRow.header());
    }

    public static CalendarRows open(Path file, Charset charset) throws IOException {
        Reader plain = new InputStreamReader(Files.newInputStream(file), charset);
        return new CalendarRows(new BufferedReader(plain, 1 << 16));
    }

    @Override
    public Optional<Row> next() throws IOException {
        while (ready.isEmpty()) {
            Optional<String> one = oneCalendar();
            if (one.isEmpty()) {
                return Optional.empty();
            }
            read(one.get());
        }
        return Optional.of(ready.remove());
    }

    /** A file may hold several calendars one after another. */
    private Optional<String> oneCalendar() throws IOException {
        StringBuilder calendar = new StringBuilder();
        for (String read = text.readLine(); read != null; read = text.readLine()) {
            line++;
            calendar.append(read.replace("\uFEFF", "")).append("\r\n");
            if (read.strip().equalsIgnoreCase(END)) {
                return Optional.of(calendar.toString());
            }
        }
        if (calendar.toString().isBlank()) {
            return Optional.empty();
        }
        throw new UnreadableRows(line, "The calendar has no end; the file is cut off.");
    }

    private void read(String text) throws IOException {
        long first = line - text.lines().count() + 1;
        try {
            Calendar calendar = builder().build(new StringReader(text));
            boolean isOff = value(calendar.getProperty(Property.METHOD)).equals("CANCEL");
            for (CalendarComponent component : calendar.getComponents()) {
                if (component.getName().equals(Component.VEVENT)) {
                    place++;
                    rows(component, isOff).forEach(row -> ready.add(row.at(place)));
                    if (component.getProperty(Property.RRULE).isPresent()) {
                        ready.add(OwnRow.of(component.getName())
                                .passedOver("Event that repeats, of which only the first day is read")
                                .at(place));
                    }
                } else if (!component.getName().equals(Component.VTIMEZONE)) {
                    place++;
                    ready.add(OwnRow.of(component.getName())
                            .passedOver(component.getName() + ", of which no record is made")
                            .at(place));
                }
            }
        } catch (ParserException broken) {
            throw new UnreadableRows(
                    first + Math.max(0, broken.getLineNo()), "From here on the calendar cannot be read.");
        }
    }

    private static CalendarBuilder builder() {
        return new CalendarBuilder(
                CalendarParserFactory.getInstance().get(),
                new ContentHandlerContext().withPropertyFactorySupplier(() -> READ),
                TimeZoneRegistryFactory.getInstance().createRegistry());
    }

    private static List<OwnRow> rows(CalendarComponent event, boolean isOff) {
        List<OwnRow> rows = new ArrayList<>();
        for (Property attendee : event.getProperties(Property.ATTENDEE)) {
            OwnRow row = row(event, isOff);
            String address = attendee.getValue().replaceFirst("(?i)^mailto:", "");
            String id = row.get(OwnColumn.RECORD_ID);
            row.put(OwnColumn.EMAIL, address)
                    .put(OwnColumn.RECORD_ID, id.isEmpty() ? "" : id + "/" + address.toLowerCase(Locale.ROOT))
                    .put(OwnColumn.FAMILY_NAME, parameter(attendee, Parameter.CN));
            if (parameter(attendee, Parameter.PARTSTAT).equals("DECLINED")) {
                row.put(OwnColumn.STATUS, "cancelled");
            }
            rows.add(row);
        }
        return rows.isEmpty()
                ? List.of(OwnRow.of(event.getName()).passedOver("Event that does not say who attends"))
                : rows;
    }

    private static OwnRow row(CalendarComponent event, boolean isOff) {
        String uid = value(event.getProperty(Property.UID));
        String occurrence = value(event.getProperty(Property.RECURRENCE_ID));
        OwnRow row = OwnRow.of(event.getName())
                .put(OwnColumn.KIND, "appointment")
                .put(OwnColumn.RECORD_ID, occurrence.isEmpty() ? uid : uid + "/" + occurrence)
                .put(OwnColumn.TEXT, value(event.getProperty(Property.SUMMARY)))
                .put(OwnColumn.ON, day(event.getProperty(Property.DTSTART)))
                .put(OwnColumn.UNTIL, day(event.getProperty(Property.DTEND)))
                .put(OwnColumn.STATUS, status(value(event.getProperty(Property.STATUS)), isOff))
                .put(OwnColumn.SITE, value(event.getProperty(Property.LOCATION)))
                .put(
                        OwnColumn.KEYWORDS,
                        event.getProperties(Property.CATEGORIES).stream()
                                .map(one -> one.getValue().replace(',', ';'))
                                .toList())
                .put(OwnColumn.RECORDED_ON, day(event.getProperty(Property.CREATED)));
        Optional<Property> organizer = event.getProperty(Property.ORGANIZER);
        return row.put(
                OwnColumn.PROVIDER,
                organizer.map(one -> parameter(one, Parameter.CN)).orElse(""));
    }

    private static String status(String theirs, boolean isOff) {
        return isOff || theirs.equals("CANCELLED") ? "cancelled" : theirs.equals("TENTATIVE") ? "proposed" : "booked";
    }

    private static String parameter(Property of, String name) {
        Optional<Parameter> parameter = of.getParameter(name);
        return parameter.map(Content::getValue).orElse("");
    }

    private static String value(Optional<? extends Property> property) {
        return property.map(Content::getValue).orElse("");
    }

    /** As ISO 8601, with its offset where it has one; what is no date as it is written. */
    private static String day(Optional<? extends Property> property) {
        if (property.isEmpty() || !(property.get() instanceof DateProperty<?> date)) {
            return value(property);
        }
        try {
            return switch (date.getDate()) {
                case ZonedDateTime moment -> moment.toOffsetDateTime().toString();
                case Instant moment -> moment.toString();
                case LocalDate day -> day.toString();
                case Temporal other -> other.toString();
            };
        } catch (DateTimeException notAsItShouldBe) {
            return date.getValue();
        }
    }

    @Override
    public void close() throws IOException {
        text.close();
    }
}
