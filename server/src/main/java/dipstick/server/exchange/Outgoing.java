package dipstick.server.exchange;

import dipstick.core.population.Population;
import dipstick.server.outreach.Listed;
import java.util.List;

/**
 * People of a list on their way out, with who takes them and why.
 *
 * @param list its name
 * @param columns of a table; none elsewhere
 * @param footer who, when and why, in one line
 */
record Outgoing(
        String list, List<Listed> people, List<TableColumn> columns, Population records, String day, String footer) {}
