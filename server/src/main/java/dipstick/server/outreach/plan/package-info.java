/** How a list is worked: the steps in which its people are tried to be reached, whom it holds back, and its parts. */
@NullMarked
package dipstick.server.outreach.plan;

import org.jspecify.annotations.NullMarked;
