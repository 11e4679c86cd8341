package dipstick.server.exchange;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.Listed;
import dipstick.server.outreach.desk.Desk;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is written to people: templates, each in several languages, and how one reads for a real person. */
@RestController
class TemplateController {
    private final Letters letters;
    private final Desk desk;
    private final CriteriaSets sets;
    private final Views views;
    private final AuditLog audit;
    private final Sharing sharing;

    TemplateController(Letters letters, Desk desk, CriteriaSets sets, Views views, Sharing sharing, AuditLog audit) {
        this.audit = audit;
        this.letters = letters;
        this.desk = desk;
        this.sets = sets;
        this.views = views;
        this.sharing = sharing;
    }

    record TemplateChange(
            @NotBlank @Size(max = 400) String subject,
            @NotBlank @Size(max = 8000) String body) {}

    record Preview(
            @NotNull String person,
            @NotNull String subject,
            @NotNull String body) {}

    /** @param fields what a template can say of somebody */
    record LetterBook(List<LetterTemplate> templates, List<String> fields) {}

    @GetMapping("/api/letters")
    LetterBook all() {
        return new LetterBook(letters.all(), LetterField.names());
    }

    @PutMapping("/api/letters/{name}/{language}")
    LetterTemplate save(
            @PathVariable @Size(max = 100) String name,
            @PathVariable @Size(max = 17) @Pattern(regexp = "[a-z]{2,8}(-[a-z0-9]{2,8})?") String language,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody TemplateChange change) {
        LetterTemplate next =
                new LetterTemplate(name, language, change.subject(), change.body(), EntityTag.number(ifMatch) + 1);
        letters.save(next);
        return next;
    }

    @DeleteMapping("/api/letters/{name}/{language}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @PathVariable String name,
            @PathVariable String language,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        letters.remove(name, language, EntityTag.number(ifMatch));
    }

    /** A template that is being changed, as it reads for somebody on a list. */
    @PostMapping("/api/lists/{set}/out/preview")
    LetterTemplate.Letter preview(@PathVariable String set, @Valid @RequestBody Preview preview) {
        sharing.require(set, Right.WORK);
        audit.recordOnce(Act.LETTER_PREVIEWED, set + " for " + preview.person());
        List<Listed> person = desk.listed(set, List.of(preview.person()));
        return letters.preview(
                new LetterTemplate("", "", preview.subject(), preview.body(), 0),
                person.stream().findFirst(),
                sets.getInForce(set).id(),
                views.current().population());
    }
}
