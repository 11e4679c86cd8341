/** The living lists: who is to be reached, what colleagues did about each, and what comes next. */
@NullMarked
package dipstick.server.outreach;

import org.jspecify.annotations.NullMarked;
