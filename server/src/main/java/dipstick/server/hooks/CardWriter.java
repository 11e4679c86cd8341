package dipstick.server.hooks;

import dipstick.core.wording.DayWords;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.prompts.Prompt;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriUtils;

/** Writes what is due as cards. */
@Component
class CardWriter {
    /** As much as a summary may have. */
    private static final int LONGEST_SUMMARY = 140;

    private static final String REASONS = "urn:dipstick:not-now";

    private static final List<Card.OverrideReason> NOT_NOW = List.of(
            new Card.OverrideReason("done-elsewhere", REASONS, "Was done elsewhere"),
            new Card.OverrideReason("declined", REASONS, "Does not want it"),
            new Card.OverrideReason("not-suitable", REASONS, "Is not suitable"),
            new Card.OverrideReason("not-now", REASONS, "Not now"));

    private final PracticeSettings practice;
    private final Today today;
    private final String address;

    CardWriter(PracticeSettings practice, Today today, @Value("${dipstick.public-address}") String address) {
        this.practice = practice;
        this.today = today;
        this.address = address;
    }

    Card card(String uuid, String person, Prompt prompt) {
        String since = since(prompt);
        return new Card(
                uuid,
                shortened(prompt.list() + ": " + (prompt.say().isEmpty() ? since : prompt.say())),
                (prompt.say().isEmpty() ? "" : "**" + plain(prompt.say()) + "**\n\n") + plain(prompt.why()) + "\n\n"
                        + plain(since.substring(0, 1).toUpperCase(Locale.ENGLISH) + since.substring(1) + "."),
                isOverdue(prompt) ? "warning" : "info",
                new Card.CardSource(
                        practice.practice().isBlank() ? "Dipstick" : "Dipstick, " + practice.practice(), address),
                NOT_NOW,
                List.of(new Card.CardLink(
                        "Open in Dipstick",
                        address + "/lists/" + encoded(prompt.set()) + "?person=" + encoded(person),
                        "absolute")));
    }

    private String since(Prompt prompt) {
        String listed = "on the list since " + DayWords.day(prompt.since());
        return switch (prompt.due()) {
            case "" -> listed;
            case "never" -> "never met; " + listed;
            default ->
                (isOverdue(prompt) ? "due since " : "due ") + DayWords.day(LocalDate.parse(prompt.due())) + "; "
                        + listed;
        };
    }

    private boolean isOverdue(Prompt prompt) {
        return !prompt.due().isEmpty()
                && !prompt.due().equals("never")
                && LocalDate.parse(prompt.due()).isBefore(today.day());
    }

    /** Never in the middle of a character. */
    private static String shortened(String text) {
        if (text.length() <= LONGEST_SUMMARY) {
            return text;
        }
        int end = LONGEST_SUMMARY - 1;
        return text.substring(0, Character.isHighSurrogate(text.charAt(end - 1)) ? end - 1 : end) + "…";
    }

    /** Text as Markdown (CommonMark, “Backslash escapes”) that is nothing but this text. */
    private static String plain(String text) {
        return text.replaceAll("\\s+", " ").replaceAll("[\\\\`*_\\[\\]<>~&|]|^[#+-]|(?<=^\\d{1,9})[.)]", "\\\\$0");
    }

    private static String encoded(String text) {
        return UriUtils.encode(text, StandardCharsets.UTF_8);
    }
}
