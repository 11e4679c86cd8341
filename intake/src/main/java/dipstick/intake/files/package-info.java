/** What kind of file one is, taken apart where it is packed, and opened as rows. */
@NullMarked
package dipstick.intake.files;

import org.jspecify.annotations.NullMarked;
