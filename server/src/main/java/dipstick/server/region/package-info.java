/**
 * What a list asks of a region, as a file that names nobody, and what the region answers, beside one's own (docs/region.md).
 */
@ApplicationModule(allowedDependencies = {"accounts", "audit", "criteria", "practice", "readings", "sharing", "web"})
@NullMarked
package dipstick.server.region;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
