/** What goes out: files, letters, e-mail and calendars, in open formats. */
@NullMarked
package dipstick.server.exchange;

import org.jspecify.annotations.NullMarked;
