/** The server: records, accounts, criteria sets and lists behind an HTTP interface. */
@NullMarked
package dipstick.server;

import org.jspecify.annotations.NullMarked;
