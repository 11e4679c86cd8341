/**
 * What a list asks of a region, as a file that names nobody, and what the region answers, beside one's own (docs/region.md).
 */
@NullMarked
package dipstick.server.region;

import org.jspecify.annotations.NullMarked;
