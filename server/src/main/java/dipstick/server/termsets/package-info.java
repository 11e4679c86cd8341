/** The term sets that criteria sets share: versions of them, who has which, and what changing one changes. */
@NullMarked
package dipstick.server.termsets;

import org.jspecify.annotations.NullMarked;
