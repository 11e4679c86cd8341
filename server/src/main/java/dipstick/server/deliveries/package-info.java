/** Files of other systems on their way in: what they may mean, what they would change, taken or left. */
@NullMarked
package dipstick.server.deliveries;

import org.jspecify.annotations.NullMarked;
