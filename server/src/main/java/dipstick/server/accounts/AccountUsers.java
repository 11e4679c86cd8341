package dipstick.server.accounts;

import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Component;

/** Finds accounts for Spring Security. */
@Component
class AccountUsers implements UserDetailsService {
    private final Accounts accounts;

    AccountUsers(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public UserDetails loadUserByUsername(String name) {
        Account account =
                accounts.find(name).orElseThrow(() -> new UsernameNotFoundException("There is no account " + name));
        return User.withUsername(account.name())
                .password(account.passwordHash())
                .roles(account.roles().split(","))
                .disabled(account.closed())
                .build();
    }
}
