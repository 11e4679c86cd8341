/** People who may be one: offered in pairs, joined or told apart, and either undone. */
@NullMarked
package dipstick.server.sameperson;

import org.jspecify.annotations.NullMarked;
