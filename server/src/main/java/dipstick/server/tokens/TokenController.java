package dipstick.server.tokens;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.OwnPassword;
import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The tokens of whoever is signed in, for programs of theirs. */
@RestController
@RequestMapping("/api/session/tokens")
class TokenController {
    private static final int MOST = 20;

    private final Tokens tokens;
    private final Accounts accounts;
    private final OwnPassword own;

    TokenController(Tokens tokens, Accounts accounts, OwnPassword own) {
        this.tokens = tokens;
        this.accounts = accounts;
        this.own = own;
    }

    /** @param lastAddress from where it was used last; empty where it never was */
    record ProgramToken(
            String id,
            String label,
            Set<Scope> scopes,
            String made,
            String expires,
            Optional<String> lastUsed,
            String lastAddress) {}

    /** @param mayBeGiven what this account's roles have a use for */
    record OwnTokens(List<ProgramToken> tokens, List<Scope> mayBeGiven) {}

    /** @param days for which it is good */
    record NewToken(
            @NotNull @Size(max = 200) String current,
            @NotBlank @Size(max = 100) String label,
            @NotEmpty Set<@NotNull Scope> scopes,
            @Min(1) @Max(366) int days) {}

    /** @param token told once: what is kept does not give it back */
    record MadeToken(String id, String token) {}

    @GetMapping
    OwnTokens mine() {
        return new OwnTokens(
                tokens.of(accounts.here().name()).stream()
                        .map(TokenController::view)
                        .toList(),
                mayBeGiven());
    }

    private List<Scope> mayBeGiven() {
        Colleague here = accounts.here();
        return Arrays.stream(Scope.values()).filter(scope -> scope.isFor(here)).toList();
    }

    @PostMapping
    MadeToken make(@Valid @RequestBody NewToken wanted, HttpServletRequest request) {
        own.requireOrJustSignedIn(wanted.current(), request);
        String account = accounts.here().name();
        if (!mayBeGiven().containsAll(wanted.scopes())) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "scope-not-yours",
                    "Your roles do not hold what this token is for. Nothing was made.");
        }
        if (tokens.of(account).size() >= MOST) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "too-many-tokens",
                    "You have " + MOST + " tokens already. Withdraw one first; nothing was made.");
        }
        Tokens.Made made = tokens.make(account, wanted.label(), wanted.scopes(), Duration.ofDays(wanted.days()));
        return new MadeToken(made.id(), made.token());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@PathVariable String id) {
        if (!tokens.withdraw(accounts.here().name(), id)) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND, "no-such-token", "There is no such token any more. Nothing was changed.");
        }
    }

    private static ProgramToken view(TokenMapper.Row row) {
        return new ProgramToken(
                row.id(),
                row.label(),
                Scope.parse(row.scopes()),
                row.createdAt().toString(),
                row.expiresAt().toString(),
                Optional.of(row.lastUsedAt().toString())
                        .filter(_ -> !row.lastAddress().isEmpty()),
                row.lastAddress());
    }
}
