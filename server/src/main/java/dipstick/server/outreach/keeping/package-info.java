/** The lists are kept as readings, erasures and people who are one and the same change who is on them. */
@NullMarked
package dipstick.server.outreach.keeping;

import org.jspecify.annotations.NullMarked;
