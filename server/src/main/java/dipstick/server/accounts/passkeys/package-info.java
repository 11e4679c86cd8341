/** Passkeys: signing in with a device that keeps a key and knows its owner (W3C Web Authentication). */
@NullMarked
package dipstick.server.accounts.passkeys;

import org.jspecify.annotations.NullMarked;
