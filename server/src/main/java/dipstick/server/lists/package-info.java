/** The list of a saved criteria set: who is to be recalled or reached, and for how long they are overdue. */
@NullMarked
package dipstick.server.lists;

import org.jspecify.annotations.NullMarked;
