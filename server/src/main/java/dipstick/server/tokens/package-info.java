/** Tokens for programs: what each may do is named, and it is never what its account may do on the pages. */
@ApplicationModule(allowedDependencies = {"accounts", "audit", "practice", "web"})
@NullMarked
package dipstick.server.tokens;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
