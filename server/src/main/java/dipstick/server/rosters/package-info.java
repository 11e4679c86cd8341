/** The rosters that criteria sets share: read from files, replaced, and ended on their day. */
@NullMarked
package dipstick.server.rosters;

import org.jspecify.annotations.NullMarked;
