/** Measures the engine by itself, and side by side with databases that answer the same questions in SQL. */
@NullMarked
package dipstick.bench;

import org.jspecify.annotations.NullMarked;
