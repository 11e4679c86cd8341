/** HL7 version 2 messages as rows. */
@NullMarked
package dipstick.intake.messages;

import org.jspecify.annotations.NullMarked;
