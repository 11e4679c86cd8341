/** How lists stand over time: coverage, what came of attempts, and how long it takes, by provider and site. */
@NullMarked
package dipstick.server.levels;

import org.jspecify.annotations.NullMarked;
