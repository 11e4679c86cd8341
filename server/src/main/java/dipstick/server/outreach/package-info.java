/**
 * The living lists: who is to be reached, what colleagues did about each, and what comes next. Here is what other features ask
 * of them; the rooms beneath know what stands before them in this order, and nothing after it: the contact plan, the entries,
 * outcomes of attempts, who is excused, whom one may see, keeping the lists at each reading, work on people, a person's log,
 * the desk, and the day.
 */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "database",
            "people",
            "personal",
            "practice",
            "readings",
            "records",
            "sharing",
            "together",
            "web"
        })
@NullMarked
package dipstick.server.outreach;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
