/** What is held of a person in each part of the product, and who was erased. */
@ApplicationModule(allowedDependencies = {"practice"})
@NullMarked
package dipstick.server.personal;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
