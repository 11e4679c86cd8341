/** What every address shares: problem details and the pages of the browser. */
@NullMarked
package dipstick.server.web;

import org.jspecify.annotations.NullMarked;
