/** The second factor of an account: codes that go by the time (RFC 6238), and recovery codes for when the device is lost. */
@NullMarked
package dipstick.server.accounts.secondfactor;

import org.jspecify.annotations.NullMarked;
