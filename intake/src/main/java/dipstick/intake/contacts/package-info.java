/** vCards and iCalendar as rows. */
@NullMarked
package dipstick.intake.contacts;

import org.jspecify.annotations.NullMarked;
