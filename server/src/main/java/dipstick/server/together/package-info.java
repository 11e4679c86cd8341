/** What one colleague does, told to the others at once. */
@NullMarked
package dipstick.server.together;

import org.jspecify.annotations.NullMarked;
