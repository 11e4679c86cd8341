/**
 * The document that holds a criteria set (criteria.md sections 3 and 4): its parts as immutable values, and the
 * reader that turns JSON into them or says everything that is wrong with it.
 */
@NullMarked
package dipstick.core.criteria;

import org.jspecify.annotations.NullMarked;
