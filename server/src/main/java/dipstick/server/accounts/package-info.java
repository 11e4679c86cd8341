/** Accounts, sign-in and the rights of each role. */
@ApplicationModule(allowedDependencies = {"audit", "database", "practice", "web"})
@NullMarked
package dipstick.server.accounts;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
