package dipstick.server.hooks;

import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The services of CDS Hooks 2.0 (HL7): discovery, what is due, and what came of what was told. */
@RestController
@RequestMapping(HookSecurity.SERVICES)
class ServicesController {
    /** What a record system is to send along (CDS Hooks 2.0, “Providing FHIR Resources to a CDS Service”). */
    private static final Map<String, String> PREFETCH = Map.of("patient", "Patient/{{context.patientId}}");

    private final CardsTold cards;

    ServicesController(CardsTold cards) {
        this.cards = cards;
    }

    record Services(List<Described> services) {}

    record Described(String hook, String title, String description, String id, Map<String, String> prefetch) {}

    record Cards(List<Card> cards) {}

    /**
     * What came of a card.
     *
     * @param outcome {@code accepted} or {@code overridden}
     */
    record Feedback(
            @NotBlank @Size(max = 36) String card,

            @NotNull @Pattern(regexp = "accepted|overridden")
            String outcome,

            Optional<@Valid Overridden> overrideReason) {}

    record Overridden(Optional<@Valid Coding> reason, Optional<@Size(max = 1000) String> userComment) {
        String words() {
            return String.join(
                            ": ",
                            List.of(
                                    reason.map(Coding::words).orElse(""),
                                    userComment.map(String::strip).orElse("")))
                    .replaceAll("^: |: $", "");
        }
    }

    record Coding(
            Optional<@Size(max = 200) String> code,
            Optional<@Size(max = 1000) String> system,
            Optional<@Size(max = 200) String> display) {
        String words() {
            return display.or(this::code).orElse("");
        }
    }

    record Feedbacks(@NotEmpty @Size(max = 1000) List<@Valid Feedback> feedback) {}

    @GetMapping
    Services discover() {
        return new Services(Arrays.stream(HookService.values())
                .map(one -> new Described(one.hook(), one.title(), one.description(), one.id(), PREFETCH))
                .toList());
    }

    @PostMapping("/{id}")
    Cards ask(@PathVariable String id, @Valid @RequestBody HookCall asked) {
        HookService service = service(id);
        if (!asked.hook().equals(service.hook())) {
            throw Problems.refused(
                    HttpStatus.BAD_REQUEST,
                    "other-hook",
                    "The service " + id + " is for the hook " + service.hook() + ", not for what was asked.");
        }
        return new Cards(cards.of(service, asked, system()));
    }

    @PostMapping("/{id}/feedback")
    void feedback(@PathVariable String id, @Valid @RequestBody Feedbacks feedbacks) {
        service(id);
        cards.answered(feedbacks.feedback(), system());
    }

    private static HookService service(String id) {
        return HookService.of(id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "no-such-service", "There is no service of this id here."));
    }

    private static RecordSystem system() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getCredentials() instanceof RecordSystem system) {
            return system;
        }
        throw new IllegalStateException("Somebody was let in who is no record system");
    }
}
