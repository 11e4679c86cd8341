/** Templates of criteria sets: a small library, and those that somebody opens from a file. */
@NullMarked
package dipstick.server.templates;

import org.jspecify.annotations.NullMarked;
