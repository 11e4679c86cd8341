/** People who may be one: offered in pairs, joined or told apart, and either undone. */
@ApplicationModule(allowedDependencies = {"accounts", "audit", "people", "personal", "practice", "records", "web"})
@NullMarked
package dipstick.server.sameperson;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
