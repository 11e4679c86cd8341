package dipstick.server.hooks;

import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Which record systems may ask what is due. */
@RestController
@Validated
@RequestMapping("/api/record-systems")
class RecordSystemController {
    private final RecordSystems systems;
    private final String address;

    RecordSystemController(RecordSystems systems, @Value("${dipstick.public-address}") String address) {
        this.systems = systems;
        this.address = address;
    }

    /** @param address of the services, which the record system is told */
    record KnownSystems(String address, List<RecordSystem> systems) {}

    /** As in {@link RecordSystem}. */
    record SystemChange(
            @NotBlank @Size(max = 100) String name,
            @NotBlank @Size(max = 500) String issuer,
            @NotBlank @Size(max = 20_000) String keys,
            @NotNull @Size(max = 500) String numberSystem,
            @NotNull @Size(max = 200) String source) {}

    @GetMapping
    KnownSystems all() {
        return new KnownSystems(address + HookSecurity.SERVICES, systems.all());
    }

    /** Without If-Match it is a new one. */
    @PutMapping("/{id}")
    RecordSystem put(
            @PathVariable @Size(max = 60) @Pattern(regexp = "[a-z0-9-]+") String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            @Valid @RequestBody SystemChange change) {
        int seen = Optional.ofNullable(ifMatch).map(EntityTag::number).orElse(0);
        return systems.save(
                new RecordSystem(
                        id,
                        change.name(),
                        change.issuer(),
                        change.keys(),
                        change.numberSystem(),
                        change.source(),
                        seen),
                seen);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        systems.remove(id);
    }
}
