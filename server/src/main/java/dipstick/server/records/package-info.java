/** The practice's people and event records: bringing them in, keeping them, and the view that evaluations read. */
@NullMarked
package dipstick.server.records;

import org.jspecify.annotations.NullMarked;
