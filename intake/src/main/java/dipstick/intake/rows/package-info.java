/** Sources of rows: tables in text and in workbooks, packed or not, each read row by row. */
@NullMarked
package dipstick.intake.rows;

import org.jspecify.annotations.NullMarked;
