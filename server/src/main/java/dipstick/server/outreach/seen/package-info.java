/** Whom somebody who works lists may see of them. */
@NullMarked
package dipstick.server.outreach.seen;

import org.jspecify.annotations.NullMarked;
