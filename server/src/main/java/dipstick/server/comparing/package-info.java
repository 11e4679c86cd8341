/** Any two readings of a list, or any two lists, beside each other. */
@NullMarked
package dipstick.server.comparing;

import org.jspecify.annotations.NullMarked;
