package dipstick.server.exchange;

import dipstick.server.paper.Letterhead;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who writes to people. */
@RestController
@RequestMapping("/api/letterhead")
class LetterheadController {
    private final Letterheads letterheads;

    LetterheadController(Letterheads letterheads) {
        this.letterheads = letterheads;
    }

    /** @param revision by which changes that cross each other are told */
    record LetterheadKept(Letterhead letterhead, int revision) {}

    @GetMapping
    LetterheadKept get() {
        return new LetterheadKept(letterheads.current(), letterheads.revision());
    }

    @PutMapping
    LetterheadKept put(@RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, @Valid @RequestBody Letterhead letterhead) {
        letterheads.save(letterhead, EntityTag.number(ifMatch));
        return get();
    }
}
