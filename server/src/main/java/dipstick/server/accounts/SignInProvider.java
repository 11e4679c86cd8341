package dipstick.server.accounts;

import dipstick.server.accounts.secondfactor.SecondFactors;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Lets in whoever has the password, and the second factor where the account has one: both at once, or nobody is in. */
@Component
final class SignInProvider extends DaoAuthenticationProvider {
    private final SecondFactors factors;
    private final SecondFactorDemand demand;
    private final SignInThrottle throttle;
    private final Doors doors;

    SignInProvider(
            AccountUsers users,
            PasswordEncoder passwords,
            SecondFactors factors,
            SecondFactorDemand demand,
            SignInThrottle throttle,
            Doors doors) {
        super(users);
        setPasswordEncoder(passwords);
        this.factors = factors;
        this.demand = demand;
        this.throttle = throttle;
        this.doors = doors;
    }

    /** @param code as it was typed beside the password; empty where none was */
    record Typed(String code) {}

    @Override
    protected void additionalAuthenticationChecks(UserDetails account, UsernamePasswordAuthenticationToken tried) {
        super.additionalAuthenticationChecks(account, tried);
        if (!doors.opensHere(account.getUsername())) {
            throw new CodeWanted(CodeWanted.Why.ELSEWHERE);
        }
        if (demand.keepsPasswordOut(account.getUsername())) {
            throw new CodeWanted(CodeWanted.Why.PASSKEY);
        }
        if (factors.isInUse(account.getUsername())) {
            requireCode(account.getUsername(), tried.getDetails() instanceof Typed(String code) ? code : "");
        }
    }

    private void requireCode(String account, String code) {
        if (code.isBlank()) {
            throw new CodeWanted(CodeWanted.Why.NONE_GIVEN);
        }
        if (throttle.codeMustWait(account)) {
            throw new CodeWanted(CodeWanted.Why.TOO_SOON);
        }
        if (!factors.use(account, code)) {
            throttle.codeFailed(account);
            throw new CodeWanted(CodeWanted.Why.WRONG);
        }
        throttle.codeSucceeded(account);
    }
}
