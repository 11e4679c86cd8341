package dipstick.server.hooks;

import java.util.Arrays;
import java.util.Optional;

/** The services that record systems find here, each for one hook. */
enum HookService {
    OPENED(
            "due-when-opened",
            "patient-view",
            "Due, when somebody is opened",
            "What is due of the person by the recall lists of the practice, with why and since when."),
    BOOKED(
            "due-when-booked",
            "appointment-book",
            "Due, when somebody is booked",
            "What else is due of the person, while an appointment is being made.");

    private final String id;
    private final String hook;
    private final String title;
    private final String description;

    HookService(String id, String hook, String title, String description) {
        this.id = id;
        this.hook = hook;
        this.title = title;
        this.description = description;
    }

    static Optional<HookService> of(String id) {
        return Arrays.stream(values()).filter(one -> one.id.equals(id)).findFirst();
    }

    String id() {
        return id;
    }

    String hook() {
        return hook;
    }

    String title() {
        return title;
    }

    String description() {
        return description;
    }
}
