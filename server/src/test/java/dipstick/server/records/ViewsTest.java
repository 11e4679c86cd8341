package dipstick.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** After each small change the view is what it would be if everything were read again. */
class ViewsTest {
    private static RunningServer server;
    private static Visitor coordinator;

    @BeforeAll
    static void start() throws Exception {
        server = RunningServer.shared();
        coordinator = People.coordinator();
    }

    @Test
    void small_changes_one_after_another_give_the_view_of_all_records() throws Exception {
        bringIn("id,family_name,site\nv1,Marl,Mill Lane\nv2,Ardle,Harbour Row\n");
        bringIn("id,person_id,kind,code,on\nw1,v1,visit,HC1,2026-01-01\nw2,v2,result,KF1,2026\n");
        bringIn("id,person_id,kind,code,on\nw1,v2,visit,HC1,2026-01-01\nw3,v9,visit,HC9,2026-02-01\n");
        assertThat(view().records().waiting()).containsEntry("v9", 1);
        bringIn("id,family_name,site\nv9,Tove,A new site\nv1,Marl,A new site\n");
        assertThat(view().records().waiting()).doesNotContainKey("v9");
        bringIn("id,person_id,kind,code,on,status\nw2,v2,result,KF1,2026,entered-in-error\n");
        bringIn("person_id,kind,text,keywords\nv1,odd kind,Seldom written,left ear;spine\n");
    }

    @Test
    void a_file_that_changes_nothing_leaves_the_view_as_it_is() throws Exception {
        bringIn("id\nsame\n");
        View before = view();
        bringIn("id\nsame\n");
        assertThat(view()).isSameAs(before);
    }

    private static void bringIn(String file) throws Exception {
        People.bringIn(coordinator, file);
        var everything = server.bean(RecordsLoader.class).everything();
        assertThat(told(view().population())).isEqualTo(told(everything.population()));
        assertThat(view().records().waiting()).isEqualTo(everything.waiting());
    }

    private static View view() {
        return server.bean(Views.class).current();
    }

    private record Told(List<String> fields, List<String> events) {}

    private static Map<String, Told> told(Population population) {
        Map<String, Told> told = new TreeMap<>();
        Events events = population.events();
        for (int person = 0; person < population.size(); person++) {
            List<String> own = events.of(person)
                    .mapToObj(row -> cells(events.fields(), events::column, row).toString())
                    .sorted()
                    .toList();
            told.put(
                    population.idOf(person),
                    new Told(cells(population.personFields(), population::column, person), own));
        }
        return told;
    }

    private static List<String> cells(Fields fields, Function<Field, Column> columnOf, int row) {
        return fields.all().stream()
                .map(field -> cell(columnOf.apply(field), row))
                .toList();
    }

    private static String cell(Column column, int row) {
        int code = column.codes().get(row);
        if (column.isMissing(row)) {
            return "";
        }
        return switch (column) {
            case Column.OfCodings codings -> codings.sets().get(code).toString();
            case Column.OfText texts -> texts.compared().get(code);
            case Column.OfNumber numbers -> numbers.numbers().get(code).toString();
            case Column.OfDate dates -> dates.days().get(code).toString();
            case Column.OfFlag _ -> String.valueOf(code == Column.OfFlag.TRUE);
            case Column.OfTexts texts ->
                texts.sets().get(code).stream().map(texts.words()::get).toList().toString();
        };
    }
}
