/**
 * One criteria set asked of parts of a population that is too large for one machine, or lies at several: what travels to
 * each part, which of its records are worth reading, and how the answers come together. Each part is read by the same
 * {@link dipstick.core.evaluate.Evaluator} as a whole population.
 */
@NullMarked
package dipstick.core.parts;

import org.jspecify.annotations.NullMarked;
