/** Accounts, sign-in and the rights of each role. */
@NullMarked
package dipstick.server.accounts;

import org.jspecify.annotations.NullMarked;
