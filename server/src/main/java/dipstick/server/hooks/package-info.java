/** Tells record systems what is due, when somebody is opened or booked there (CDS Hooks 2.0, HL7). */
@ApplicationModule(allowedDependencies = {"audit", "personal", "practice", "prompts", "records", "web"})
@NullMarked
package dipstick.server.hooks;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
