package dipstick.intake.messages;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The segments of one of the people of a message, from a PID to the next. */
record Group(Segment pid, List<Segment> segments) {
    Group {
        segments = List.copyOf(segments);
    }

    static List<Group> of(Message message) {
        List<Group> groups = new ArrayList<>();
        List<Segment> before = new ArrayList<>();
        List<Segment> here = new ArrayList<>();
        Optional<Segment> pid = Optional.empty();
        for (Segment segment : message.segments()) {
            if (segment.name().equals("PID")) {
                pid.ifPresent(one -> groups.add(new Group(one, here)));
                here.clear();
                pid = Optional.of(segment);
            } else if (pid.isPresent()) {
                here.add(segment);
            } else {
                before.add(segment);
            }
        }
        // What an appointment is stands before the person whose it is.
        pid.ifPresent(one -> {
            here.addAll(0, before);
            groups.add(new Group(one, here));
        });
        return groups;
    }

    Optional<Segment> first(String name) {
        return segments.stream().filter(segment -> segment.name().equals(name)).findFirst();
    }
}
