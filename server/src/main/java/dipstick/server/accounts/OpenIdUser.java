package dipstick.server.accounts;

import java.util.Arrays;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.oauth2.core.oidc.OidcIdToken;
import org.springframework.security.oauth2.core.oidc.user.DefaultOidcUser;

/** Whoever signed in at the practice's service, with the name and the roles of their account here. */
final class OpenIdUser extends DefaultOidcUser {
    private static final long serialVersionUID = 1L;

    private final String account;

    OpenIdUser(Account account, OidcIdToken token) {
        super(authorities(account), token);
        this.account = account.name();
    }

    private static List<GrantedAuthority> authorities(Account account) {
        return Arrays.stream(account.roles().split(","))
                .<GrantedAuthority>map(role -> new SimpleGrantedAuthority("ROLE_" + role))
                .toList();
    }

    @Override
    public String getName() {
        return account;
    }
}
