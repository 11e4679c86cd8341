/** The seam under all formats: rows of cells, one after another. */
@NullMarked
package dipstick.intake.rows;

import org.jspecify.annotations.NullMarked;
