/** One person: everything known, and why each criterion answers as it does. */
@NullMarked
package dipstick.server.people;

import org.jspecify.annotations.NullMarked;
