/**
 * Criteria as text that a person types: the words that the sentences print, read back as documents
 * (docs/typed-criteria.md).
 */
@NullMarked
package dipstick.core.typed;

import org.jspecify.annotations.NullMarked;
