package dipstick.server.privacy;

import dipstick.server.personal.PersonalData.Held;
import java.util.List;

/**
 * Everything that is held of a person.
 *
 * @param person by id
 * @param madeAt an ISO time
 * @param held in each part, one table after the other
 */
record PersonReport(String person, String practice, String madeAt, String madeBy, Asked asked, List<Held> held) {}
