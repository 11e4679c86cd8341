package dipstick.server.outreach;

import dipstick.server.criteria.CriteriaSets;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How lists are worked. */
@RestController
class MannerController {
    private final Manners manners;
    private final CriteriaSets sets;
    private final Sharing sharing;

    MannerController(Manners manners, CriteriaSets sets, Sharing sharing) {
        this.manners = manners;
        this.sets = sets;
        this.sharing = sharing;
    }

    @PutMapping("/api/lists/{set}/desk/manner")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void save(
            @PathVariable String set,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody Manner manner) {
        sharing.require(set, Right.CHANGE);
        manners.save(sets.getInForce(set).id(), manner, EntityTag.number(ifMatch));
    }
}
