package dipstick.intake.make;

import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.text.NormalText;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Maker;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Binds what fields are made of to the columns of one file. */
final class Plans {
    private final Columns columns;
    private final Set<String> empty;
    private final WrittenDates dates;
    private final WrittenNumbers numbers;

    Plans(Intake intake, Columns columns, ZoneId zone) {
        this.columns = columns;
        this.empty = intake.written().empty().stream().map(NormalText::of).collect(Collectors.toUnmodifiableSet());
        this.dates = new WrittenDates(intake.written(), zone);
        this.numbers = new WrittenNumbers(intake.written().decimal());
    }

    MakerPlan of(Maker maker) {
        return new MakerPlan(maker, columns, empty);
    }

    FieldPlan of(Field field, Maker maker) {
        return new FieldPlan(field, of(maker), dates, numbers);
    }

    List<FieldPlan> of(Map<String, Maker> makers, Fields known) {
        List<String> order = known.names();
        // A unit of its own is there before one that stands beside a value.
        return makers.entrySet().stream()
                .flatMap(entry -> known.written(entry.getKey()).stream().map(field -> of(field, entry.getValue())))
                .sorted(Comparator.comparing(
                                (FieldPlan plan) -> plan.field().name().equals("value"))
                        .thenComparingInt(plan -> order.indexOf(plan.field().name())))
                .toList();
    }
}
