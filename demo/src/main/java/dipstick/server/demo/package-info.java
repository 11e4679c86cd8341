/** The invented practice of the demo: its people, records and criteria sets, the same for the same seed and day. */
@NullMarked
package dipstick.server.demo;

import org.jspecify.annotations.NullMarked;
