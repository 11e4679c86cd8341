package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.time.PartialDate;
import dipstick.intake.describe.Written;
import dipstick.intake.describe.Written.DateOrder;
import dipstick.intake.describe.Written.Decimal;
import dipstick.intake.make.WrittenDates;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WrittenDatesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "DAY_FIRST | 17/05/1961 | 1961-05-17",
                "DAY_FIRST | 03/04/1961 | 1961-04-03",
                "MONTH_FIRST | 03/04/1961 | 1961-03-04",
                "OPEN | 03/04/1961 | either way",
                "OPEN | 04/04/1961 | 1961-04-04",
                "OPEN | 17.5.61 | 1961-05-17",
                "DAY_FIRST | 05/17/1961 | none",
                "MONTH_FIRST | 17/05/1961 | none",
                "DAY_FIRST | 29.02.2023 | none",
                "DAY_FIRST | 29-2-24 | 2024-02-29",
                "DAY_FIRST | 1/1/29 | 2029-01-01",
                "DAY_FIRST | 1/1/30 | 1930-01-01",
                "DAY_FIRST | 17/05/1961 14:30 | 1961-05-17",
                "MONTH_FIRST | 5/7/1961 2:30 PM | 1961-05-07",
                "OPEN | 1961/5/17 | 1961-05-17",
                "OPEN | 19610517 | 1961-05-17",
                "OPEN | 196105171430 | 1961-05-17",
                "OPEN | 1961-05-17 | 1961-05-17",
                "OPEN | 1961-05-17T23:30:00Z | 1961-05-18",
                "OPEN | 1961 | 1961",
                "OPEN | 05/1961 | 1961-05",
                "OPEN | 17 May 1961 | 1961-05-17",
                "OPEN | 17-MAY-61 | 1961-05-17",
                "OPEN | May 17, 1961 | 1961-05-17",
                "OPEN | Wed, 17 May 1961 | 1961-05-17",
                "OPEN | 3rd March 1961 | 1961-03-03",
                "OPEN | 17. März 1961 | 1961-03-17",
                "OPEN | 1er août 2020 | 2020-08-01",
                "OPEN | 17 de mayo de 1961 | 1961-05-17",
                "OPEN | Mai 1961 | 1961-05",
                "OPEN | 31 Feb 1961 | none",
                "OPEN | 17 Mud 1961 | none",
                "OPEN | 12345678 | none",
                "OPEN | yesterday | none",
                "OPEN | 4.5 | none",
            })
    void a_date_is_read_as_it_was_meant_or_not_at_all(DateOrder order, String text, String expected) {
        Written written = new Written(order, 0, Decimal.POINT, List.of());
        String read = switch (new WrittenDates(written, ZoneId.of("Europe/Lisbon")).read(text)) {
            case WrittenDates.Outcome.Read(var days) -> PartialDate.written(days);
            case WrittenDates.Outcome.EitherWay _ -> "either way";
            case WrittenDates.Outcome.NoDate _ -> "none";
        };
        assertThat(read).isEqualTo(expected);
    }
}
