package dipstick.server.deliveries;

import dipstick.core.text.Shortened;
import dipstick.intake.describe.Intake;
import dipstick.intake.files.RowsFile;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.nio.file.Files;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Files of other systems: send one, see what it may mean and what it would change, mend its intake, take it or leave it. */
@RestController
@RequestMapping("/api/deliveries")
class DeliveryController {
    private static final int LONGEST_NAME = 300;

    private final Deliveries deliveries;
    private final DeliveryViews views;
    private final List<SampleFiles> samples;

    DeliveryController(Deliveries deliveries, DeliveryViews views, List<SampleFiles> samples) {
        this.deliveries = deliveries;
        this.views = views;
        this.samples = samples;
    }

    @PostMapping
    DeliveryViews.DeliveryView receive(@RequestParam String name, HttpServletRequest request) throws IOException {
        return views.view(
                deliveries.receive(Shortened.to(LONGEST_NAME, name), request.getInputStream(), Optional.empty()));
    }

    @GetMapping("/{id}")
    DeliveryViews.DeliveryView see(@PathVariable String id) {
        return views.view(find(id));
    }

    record SampleView(String name, String what) {}

    /** Files to try things with; none where there is a real practice. */
    @GetMapping("/samples")
    List<SampleView> samples() {
        return samples.stream()
                .flatMap(some -> some.all().stream())
                .map(one -> new SampleView(one.name(), one.what()))
                .toList();
    }

    @GetMapping(value = "/samples/{name}", produces = "application/octet-stream")
    ResponseEntity<byte[]> sample(@PathVariable String name) {
        return samples.stream()
                .flatMap(some -> some.all().stream())
                .filter(one -> one.name().equals(name))
                .findFirst()
                .map(one -> Download.of(
                        "application/octet-stream", one.name(), one.bytes().get()))
                .orElseThrow(
                        () -> Problems.refused(HttpStatus.NOT_FOUND, "no-such-sample", "There is no such file here."));
    }

    /** Tries the file anew by another intake, or by one that was mended. */
    @PutMapping("/{id}/intake")
    DeliveryViews.DeliveryView tryBy(@PathVariable String id, @RequestBody JsonNode intake) {
        Delivery one = find(id);
        Intake read = Intakes.read(intake.toString());
        if (!deliveries.tryBy(one, read)) {
            throw cannotBeTried();
        }
        return views.view(one);
    }

    /**
     * How the bytes of a file are to be read as rows; what is empty is found out.
     *
     * @param encoding by its name
     */
    record ReadingWanted(
            @NotNull @Size(max = 60) String encoding,
            @NotNull @Size(max = 1) String separator,
            @NotNull @Size(max = 200) String sheet) {}

    /** Finds out anew what the file is, read in another encoding, with another separator, or from another sheet. */
    @PutMapping("/{id}/reading")
    DeliveryViews.DeliveryView readAs(@PathVariable String id, @Valid @RequestBody ReadingWanted wanted) {
        Delivery one = find(id);
        if (!deliveries.readAs(one, RowsFile.Said.of(wanted.encoding(), wanted.separator(), wanted.sheet()))) {
            throw cannotBeTried();
        }
        return views.view(one);
    }

    private static ErrorResponseException cannotBeTried() {
        return Problems.refused(
                HttpStatus.CONFLICT,
                "cannot-be-tried",
                "This file is being read, or was taken already. Nothing was changed.");
    }

    @PostMapping("/{id}/take")
    DeliveryViews.DeliveryView take(@PathVariable String id, Principal who) {
        Delivery one = find(id);
        if (!deliveries.take(one, who.getName())) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "cannot-be-taken",
                    "This file is not ready to be taken, something about it is not said yet, it holds nothing that can"
                            + " be, or it was taken already. Nothing was changed.");
        }
        return views.view(one);
    }

    /** Leaves the file; what was taken of it stays. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@PathVariable String id) throws IOException {
        deliveries.forget(find(id));
    }

    /** Everything that is wrong with the file, as CSV. */
    @GetMapping(value = "/{id}/problems", produces = "text/csv")
    ResponseEntity<Resource> problems(@PathVariable String id) {
        Delivery one = find(id);
        if (!Files.exists(one.problemsFile())) {
            throw Problems.refused(
                    HttpStatus.CONFLICT, "not-tried-yet", "The file was not tried yet. Ask again when it was.");
        }
        return Download.of("text/csv;charset=UTF-8", "problems.csv", new FileSystemResource(one.problemsFile()));
    }

    private Delivery find(String id) {
        return deliveries
                .find(id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND,
                        "no-such-import",
                        "This file is not here any more. What was taken of it is kept; send it again if need be."));
    }
}
