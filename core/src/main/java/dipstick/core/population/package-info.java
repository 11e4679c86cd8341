/**
 * People and events as immutable columns and posting lists: what every evaluation reads. A population is built once,
 * sealed, and then only read, by any number of threads.
 */
@NullMarked
package dipstick.core.population;

import org.jspecify.annotations.NullMarked;
