/** Tells record systems what is due, when somebody is opened or booked there (CDS Hooks 2.0, HL7). */
@NullMarked
package dipstick.server.hooks;

import org.jspecify.annotations.NullMarked;
