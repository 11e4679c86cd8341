/** What every feature has to know of the database. */
@NullMarked
package dipstick.server.database;

import org.jspecify.annotations.NullMarked;
