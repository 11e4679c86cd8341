/** What was done about one person, on all lists that one may see. */
@NullMarked
package dipstick.server.outreach.log;

import org.jspecify.annotations.NullMarked;
