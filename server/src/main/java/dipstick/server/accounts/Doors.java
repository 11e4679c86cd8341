package dipstick.server.accounts;

import org.springframework.stereotype.Component;

/** By which door an account gets in: with what is kept here, or vouched for by the practice's sign-in service. */
@Component
public class Doors {
    private final OpenIdPeople people;
    private final OpenIdMapper vouched;

    Doors(OpenIdPeople people, OpenIdMapper vouched) {
        this.people = people;
        this.vouched = vouched;
    }

    /** Whether the sign-in service vouches for it, so that it has neither password nor second factor here. */
    boolean isVouchedFor(String account) {
        return vouched.has(account);
    }

    /** Whether it gets in with what is kept here, which it does unless the practice switched that off. */
    boolean opensHere(String account) {
        return !isVouchedFor(account) && isNotSwitchedOff(account);
    }

    /** Whether it gets in at all. */
    public boolean open(String account) {
        return isVouchedFor(account) ? !people.issuer().isBlank() : isNotSwitchedOff(account);
    }

    private boolean isNotSwitchedOff(String account) {
        return !people.keepsOthersOut() || people.emergencyAccount().equals(account);
    }
}
