package dipstick.server.records;

import java.security.Principal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Taking a delivery back: see what that does, then do it. */
@RestController
@RequestMapping("/api/deliveries/taken/{delivery}/taking-back")
class TakingBackController {
    private final TakingBack takingBack;

    TakingBackController(TakingBack takingBack) {
        this.takingBack = takingBack;
    }

    @GetMapping
    TakingBack.Undone look(@PathVariable long delivery) {
        return takingBack.look(delivery);
    }

    /** @param everything whether records that something changed later are undone, too */
    @PostMapping
    TakingBack.Undone takeBack(
            @PathVariable long delivery, @RequestParam(defaultValue = "false") boolean everything, Principal who) {
        return takingBack.takeBack(delivery, everything, who.getName());
    }
}
