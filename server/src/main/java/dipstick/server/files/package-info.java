/** Files that are read while somebody waits for it, and not kept. */
@NullMarked
package dipstick.server.files;

import org.jspecify.annotations.NullMarked;
