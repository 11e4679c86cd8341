package dipstick.server.hooks;

import dipstick.server.hooks.RecordSystemStandIn.Exchange;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Has the demo's stand-in for a record system ask. */
@RestController
@RequestMapping("/api/stand-in/record-system")
class StandInController {
    private final Optional<RecordSystemStandIn> standIn;

    StandInController(ObjectProvider<RecordSystemStandIn> standIn) {
        this.standIn = Optional.ofNullable(standIn.getIfAvailable());
    }

    record StandInState(boolean there) {}

    record StandInQuestion(
            @NotBlank @Pattern(regexp = "patient-view|appointment-book")
            String hook,

            @NotBlank @Size(max = 100) String person) {}

    /** @param reason absent where the card was accepted */
    record StandInFeedback(@NotBlank @Size(max = 36) String card, Optional<@Size(max = 200) String> reason) {}

    @GetMapping
    StandInState state() {
        return new StandInState(standIn.isPresent());
    }

    @PostMapping("/asks")
    Exchange ask(@Valid @RequestBody StandInQuestion question) {
        return standIn().ask(question.hook(), question.person());
    }

    @PostMapping("/answers")
    Exchange answer(@Valid @RequestBody StandInFeedback feedback) {
        return standIn().answer(feedback.card(), feedback.reason());
    }

    private RecordSystemStandIn standIn() {
        return standIn.orElseThrow(() -> Problems.refused(
                HttpStatus.NOT_FOUND, "no-stand-in", "Only the demo has a stand-in for a record system."));
    }
}
