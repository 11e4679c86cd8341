/** Sends colleagues their lists by e-mail at a time. */
@NullMarked
package dipstick.server.sending;

import org.jspecify.annotations.NullMarked;
