package dipstick.server.criteria;

import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.Problem;
import dipstick.server.accounts.Accounts;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The saved criteria sets. A change names the version it was made to, as an entity tag (RFC 9110, If-Match). */
@RestController
@RequestMapping("/api/criteria")
class CriteriaController {
    private static final Pattern TAG = Pattern.compile("\"(\\d{1,9})\"");

    private final CriteriaSets sets;
    private final Accounts accounts;
    private final Views views;

    CriteriaController(CriteriaSets sets, Accounts accounts, Views views) {
        this.sets = sets;
        this.accounts = accounts;
        this.views = views;
    }

    record SetSummary(String id, String name, String purpose, int version, String changedAt, String changedBy) {}

    record SetDocument(int version, String changedAt, String changedBy, JsonNode document) {}

    @GetMapping
    List<SetSummary> all() {
        return sets.all().stream()
                .map(set -> new SetSummary(
                        set.id(),
                        set.name(),
                        set.json().path("purpose").asString(""),
                        set.version(),
                        set.changedAt().toString(),
                        accounts.displayName(set.changedBy())))
                .toList();
    }

    @GetMapping("/{id}")
    ResponseEntity<SetDocument> get(@PathVariable String id) {
        return answer(sets.get(id));
    }

    @PutMapping("/{id}")
    ResponseEntity<SetDocument> save(
            @PathVariable String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Schema(nullable = true) String ifMatch,
            @RequestBody JsonNode document,
            Principal who) {
        check(id, document);
        String name = document.path("name").asString("");
        Optional<Integer> expected = Optional.ofNullable(ifMatch).map(CriteriaController::version);
        return answer(sets.save(id, name, document, expected, who.getName()));
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, Principal who) {
        sets.remove(id, version(ifMatch), who.getName());
    }

    /** A set is saved only if it can be evaluated, so that every list that is opened can be. */
    private void check(String id, JsonNode document) {
        if (!document.path("id").asString("").equals(id)) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT, "other-id", "The document's id is not that of the address.");
        }
        try {
            sets.read(document, Map.of(), views.current().population().personFields());
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-criteria",
                    "This set cannot be evaluated, so it was not saved. What is wrong is listed; nothing is lost.",
                    errors(invalid));
        }
    }

    private static List<Map<String, String>> errors(InvalidCriteria invalid) {
        return invalid.problems().values().stream()
                .flatMap(List::stream)
                .map((Problem problem) -> Map.of("pointer", problem.pointer(), "message", problem.message()))
                .toList();
    }

    private static int version(String tag) {
        var form = TAG.matcher(tag);
        if (!form.matches()) {
            throw Problems.refused(
                    HttpStatus.BAD_REQUEST, "bad-version", "If-Match should be a version in quotes, such as \"3\".");
        }
        return Integer.parseInt(form.group(1));
    }

    private ResponseEntity<SetDocument> answer(SavedSet set) {
        return ResponseEntity.ok()
                .eTag("\"" + set.version() + "\"")
                .body(new SetDocument(
                        set.version(), set.changedAt().toString(), accounts.displayName(set.changedBy()), set.json()));
    }
}
