/** The practice's own sign-in service, asked by OpenID Connect: what it says of whoever signs in there. */
@NullMarked
package dipstick.server.accounts.openid;

import org.jspecify.annotations.NullMarked;
