/** Any two files, rosters or lists laid side by side, and what is laid so again and again. */
@NullMarked
package dipstick.server.sidebyside;

import org.jspecify.annotations.NullMarked;
