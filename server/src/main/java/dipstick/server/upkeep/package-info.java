/** What keeps an installation sound: whether it may start, backups and bringing one back, and its commands. */
@NullMarked
package dipstick.server.upkeep;

import org.jspecify.annotations.NullMarked;
