package dipstick.server.outreach.desk;

import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.plan.Manner;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** How lists are worked. */
@RestController
class MannerController {
    private final Manners manners;
    private final Desk desk;
    private final CriteriaSets sets;
    private final Sharing sharing;

    MannerController(Manners manners, Desk desk, CriteriaSets sets, Sharing sharing) {
        this.manners = manners;
        this.desk = desk;
        this.sets = sets;
        this.sharing = sharing;
    }

    /** Of which sites and providers parts of a list can be made. */
    @GetMapping("/api/lists/{set}/desk/manner/parts")
    Desk.Parting parts(@PathVariable String set) {
        sharing.require(set, Right.CHANGE);
        return desk.parting(sets.getInForce(set).id());
    }

    /** @param revision at which it is kept */
    record MannerKept(int revision) {}

    @PutMapping("/api/lists/{set}/desk/manner")
    MannerKept save(
            @PathVariable String set,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody Manner manner) {
        sharing.require(set, Right.CHANGE);
        int seen = EntityTag.number(ifMatch);
        manners.save(sets.getInForce(set).id(), manner, seen);
        return new MannerKept(seen + 1);
    }
}
