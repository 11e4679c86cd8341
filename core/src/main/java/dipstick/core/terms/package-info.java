/** The many names under which things are recorded: found by their words, and by what they resemble. */
@NullMarked
package dipstick.core.terms;

import org.jspecify.annotations.NullMarked;
