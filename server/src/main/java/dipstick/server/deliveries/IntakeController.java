package dipstick.server.deliveries;

import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import java.security.Principal;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The intakes of the practice, each a JSON document of ours with all its versions. */
@RestController
@RequestMapping("/api/intakes")
class IntakeController {
    private final Intakes intakes;

    IntakeController(Intakes intakes) {
        this.intakes = intakes;
    }

    record IntakeView(String id, String name, int version, String changedAt, String changedBy, boolean retired) {}

    @GetMapping
    List<IntakeView> all() {
        return intakes.inForce().stream().map(IntakeController::view).toList();
    }

    /** The newest first. */
    @GetMapping("/{id}/versions")
    List<IntakeView> versions(@PathVariable String id) {
        return intakes.versions(id).stream().map(IntakeController::view).toList();
    }

    /** The document, to be kept as a file. */
    @GetMapping(value = "/{id}/document", produces = "application/json")
    ResponseEntity<String> document(@PathVariable String id) {
        return Download.of("application/json", id + ".json", intakes.document(id));
    }

    /** The JSON Schema (2020-12) of the document. */
    @GetMapping(value = "/schema", produces = "application/schema+json")
    String schema() {
        return IntakeDocument.schema();
    }

    /** Keeps a document, as a new version where there is one already. */
    @PutMapping("/{id}")
    IntakeView save(@PathVariable String id, @RequestBody JsonNode document, Principal who) {
        Intake read = Intakes.read(document.toString());
        if (!read.id().equals(id)) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "another-id",
                    "The document says that its id is another than the address. Nothing was changed.");
        }
        return view(intakes.save(read, who.getName()));
    }

    /** Takes it out of use; what it brought in stays. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void retire(@PathVariable String id, Principal who) {
        intakes.retire(id, who.getName());
    }

    private static IntakeView view(SavedIntake saved) {
        return new IntakeView(
                saved.id(),
                saved.name(),
                saved.version(),
                saved.changedAt().toString(),
                saved.changedBy(),
                saved.retired());
    }
}
