/** Tables in text and in workbooks as rows. */
@NullMarked
package dipstick.intake.tables;

import org.jspecify.annotations.NullMarked;
