package dipstick.server.accounts;

import java.util.Map;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What the practice's sign-in service says of people, and what it means here (docs/operations.md).
 *
 * @param issuer of the service; empty where the practice has none
 * @param nameClaim whose value is the sign-in name here
 * @param providerClaim whose value is the provider that somebody is in the records; empty where there is none
 * @param roleClaim whose values are looked up in {@code roles}
 * @param groupClaim whose values are looked up in {@code groups}
 * @param roles the role here of each value there
 * @param groups the group here of each value there
 * @param adopt whether an account that is here already is theirs who have its name there
 * @param emergencyAccount the only account that signs in without the service; empty where all that are here do
 */
@ConfigurationProperties("dipstick.openid")
record OpenIdPeople(
        @DefaultValue("") String issuer,
        @DefaultValue("preferred_username") String nameClaim,
        @DefaultValue("") String providerClaim,
        @DefaultValue("roles") String roleClaim,
        @DefaultValue("groups") String groupClaim,
        @DefaultValue Map<String, Role> roles,
        @DefaultValue Map<String, String> groups,
        @DefaultValue("false") boolean adopt,
        @DefaultValue("") String emergencyAccount) {
    OpenIdPeople {
        emergencyAccount = Accounts.signInName(emergencyAccount);
        if (!issuer.isBlank() && roles.isEmpty()) {
            throw new IllegalArgumentException(
                    "dipstick.openid.roles is empty: nobody who signs in there would have a role here.");
        }
        if (issuer.isBlank() && !emergencyAccount.isEmpty()) {
            throw new IllegalArgumentException(
                    "dipstick.openid.emergency-account without issuer would leave nobody else a way to sign in.");
        }
    }

    /** Whether only one account that is kept here signs in. */
    boolean keepsOthersOut() {
        return !emergencyAccount.isEmpty();
    }
}
