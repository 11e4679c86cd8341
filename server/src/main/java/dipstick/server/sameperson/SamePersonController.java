package dipstick.server.sameperson;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The same person twice: pairs that are offered, and what was said of them. */
@RestController
@RequestMapping("/api/same-person")
class SamePersonController {
    private static final int MOST_PAIRS = 20;

    private final Pairs pairs;
    private final Joinings joinings;
    private final AuditLog audit;

    SamePersonController(Pairs pairs, Joinings joinings, AuditLog audit) {
        this.pairs = pairs;
        this.joinings = joinings;
        this.audit = audit;
    }

    /**
     * @param total of the pairs that are offered; only the first are given
     * @param joined the latest first, as are those told apart
     */
    record SamePerson(int total, List<Pair> pairs, List<JoinedView> joined, List<ApartView> apart) {}

    /** @param name of whoever goes on */
    record JoinedView(long id, String person, String other, String name, String at, String by) {}

    record ApartView(long id, String one, String other, String oneName, String otherName, String at, String by) {}

    /** @param person the number under which they go on */
    record JoinWanted(
            @NotBlank @Size(max = 400) String person,
            @NotBlank @Size(max = 400) String other) {}

    record ApartWanted(
            @NotBlank @Size(max = 400) String one,
            @NotBlank @Size(max = 400) String other) {}

    @GetMapping
    SamePerson all() {
        Pairs.Offered offered = pairs.offered(MOST_PAIRS);
        if (!offered.pairs().isEmpty()) {
            audit.record(
                    Act.PEOPLE_COMPARED,
                    offered.pairs().stream()
                            .flatMap(pair ->
                                    Stream.of(pair.one().id(), pair.other().id()))
                            .distinct()
                            .collect(Collectors.joining(", ")));
        }
        return new SamePerson(
                offered.total(),
                offered.pairs(),
                joinings.all().stream()
                        .filter(one -> pairs.maySee(one.person(), one.person()))
                        .map(one -> new JoinedView(
                                one.id(),
                                one.person(),
                                one.other(),
                                pairs.name(one.person()),
                                one.joinedAt().toString(),
                                one.joinedBy()))
                        .toList(),
                joinings.allApart().stream()
                        .filter(one -> pairs.maySee(one.one(), one.other()))
                        .map(one -> new ApartView(
                                one.id(),
                                one.one(),
                                one.other(),
                                pairs.name(one.one()),
                                pairs.name(one.other()),
                                one.saidAt().toString(),
                                one.saidBy()))
                        .toList());
    }

    /** Any two of whom somebody thinks that they may be one. */
    @GetMapping("/pair")
    Pair pair(@RequestParam @Size(max = 400) String one, @RequestParam @Size(max = 400) String other) {
        Pair pair = pairs.sideBySide(one.strip(), other.strip());
        audit.record(Act.PEOPLE_COMPARED, pair.one().id() + ", " + pair.other().id());
        return pair;
    }

    @PostMapping("/joined")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void join(@Valid @RequestBody JoinWanted wanted, Principal who) {
        joinings.join(wanted.person(), wanted.other(), who.getName());
    }

    @DeleteMapping("/joined/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void undo(@PathVariable long id, Principal who) {
        joinings.undo(id, who.getName());
    }

    @PostMapping("/apart")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tellApart(@Valid @RequestBody ApartWanted wanted, Principal who) {
        joinings.tellApart(wanted.one(), wanted.other(), who.getName());
    }

    @DeleteMapping("/apart/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forgetApart(@PathVariable long id) {
        joinings.forgetApart(id);
    }
}
