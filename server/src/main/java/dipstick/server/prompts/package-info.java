/** Who is told of those on a list when they are opened, ring, or come in, and what may be said to them. */
@NullMarked
package dipstick.server.prompts;

import org.jspecify.annotations.NullMarked;
