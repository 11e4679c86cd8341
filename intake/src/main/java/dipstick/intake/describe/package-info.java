/** What an intake says: how one kind of file is read, and what becomes of its columns. */
@NullMarked
package dipstick.intake.describe;

import org.jspecify.annotations.NullMarked;
