package dipstick.server.deliveries;

import dipstick.server.deliveries.IncomingFolder.Waiting;
import dipstick.server.web.Problems;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Files that came by themselves and were not taken, since something about them is for a person to decide. */
@RestController
@RequestMapping("/api/deliveries/waiting")
class WaitingController {
    private final Incoming incoming;
    private final DeliveryViews views;

    WaitingController(Incoming incoming, DeliveryViews views) {
        this.incoming = incoming;
        this.views = views;
    }

    /**
     * A file that waits.
     *
     * @param intake the id of the intake in whose folder it came
     * @param why it was not taken, in sentences
     */
    record WaitingView(String id, String fileName, String intake, String since, List<String> why) {}

    /** The oldest first. */
    @GetMapping
    List<WaitingView> all() throws IOException {
        return incoming.waiting().stream().map(WaitingController::view).toList();
    }

    /** Tries it anew, to be looked at, mended and taken as any file. */
    @PostMapping("/{id}")
    DeliveryViews.DeliveryView open(@PathVariable String id) throws IOException {
        return views.view(incoming.open(id).orElseThrow(WaitingController::gone));
    }

    /** Keeps it out of the way: it is not taken, and waits no longer. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway(@PathVariable String id) throws IOException {
        if (!incoming.putAway(id)) {
            throw gone();
        }
    }

    private static RuntimeException gone() {
        return Problems.refused(
                HttpStatus.NOT_FOUND, "no-such-file", "This file does not wait here any more. Nothing was changed.");
    }

    private static WaitingView view(Waiting waiting) {
        return new WaitingView(
                waiting.id(),
                waiting.fileName(),
                waiting.intake(),
                waiting.since().toString(),
                waiting.report()
                        .path("why")
                        .valueStream()
                        .map(JsonNode::asString)
                        .toList());
    }
}
