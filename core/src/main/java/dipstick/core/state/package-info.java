/** What can be trusted of the records: how fresh they are, what is blank, and what cannot be. */
@NullMarked
package dipstick.core.state;

import org.jspecify.annotations.NullMarked;
