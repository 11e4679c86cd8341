package dipstick.command;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * With what a set is evaluated, as it was given at the command line.
 *
 * @param problems what is wrong with it, a sentence each; what could not be read stands at what it is by default
 */
public record Settings(LocalDate asOf, ZoneId zone, Map<String, String> dials, List<String> problems) {
    public Settings {
        dials = Map.copyOf(dials);
        problems = List.copyOf(problems);
    }

    /** @param dials each as NAME=VALUE */
    public static Settings of(Optional<String> asOf, Optional<String> zone, List<String> dials) {
        List<String> problems = new ArrayList<>();
        ZoneId in = zone.map(name -> zone(name, problems)).orElseGet(ZoneId::systemDefault);
        LocalDate on = asOf.map(day -> day(day, in, problems)).orElseGet(() -> LocalDate.now(in));
        return new Settings(on, in, turned(dials, problems), problems);
    }

    private static ZoneId zone(String name, List<String> problems) {
        try {
            return ZoneId.of(name);
        } catch (DateTimeException unknown) {
            problems.add("--zone: there is no time zone “" + name + "”. It is a name such as Europe/Lisbon, or UTC.");
            return ZoneId.systemDefault();
        }
    }

    private static LocalDate day(String day, ZoneId zone, List<String> problems) {
        try {
            return LocalDate.parse(day);
        } catch (DateTimeParseException unreadable) {
            problems.add("--as-of: “" + day + "” is no day. A day is written as 2026-11-23.");
            return LocalDate.now(zone);
        }
    }

    private static Map<String, String> turned(List<String> dials, List<String> problems) {
        Map<String, String> turned = new LinkedHashMap<>();
        for (String dial : dials) {
            int equals = dial.indexOf('=');
            if (equals <= 0) {
                problems.add("--dial: “" + dial + "” is not NAME=VALUE, such as every=P6M.");
            } else if (turned.put(dial.substring(0, equals), dial.substring(equals + 1)) != null) {
                problems.add("--dial: “" + dial.substring(0, equals) + "” is given twice; which value is meant?");
            }
        }
        return turned;
    }
}
