/** Criteria as plain words: the sentences of the sheet, and the words that reasons are told in. */
@NullMarked
package dipstick.core.wording;

import org.jspecify.annotations.NullMarked;
