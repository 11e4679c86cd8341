/** The audit log: who read or exported what, appended only. */
@NullMarked
package dipstick.server.audit;

import org.jspecify.annotations.NullMarked;
