/** Tokens for programs: what each may do is named, and it is never what its account may do on the pages. */
@NullMarked
package dipstick.server.tokens;

import org.jspecify.annotations.NullMarked;
