package dipstick.region.records;

import dipstick.core.records.Field;
import dipstick.core.records.RecordFields;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What lies in a folder of records ({@code region.json}), so that what is missing is noticed.
 *
 * @param format {@value #FORMAT}
 * @param customOfPeople the fields of people beside the known ones
 */
public record Manifest(
        String format, List<Field> customOfPeople, List<Field> customOfEvents, List<Practice> practices) {
    public static final String FORMAT = "dipstick-region/1";

    private static final JsonMapper JSON = JsonMapper.shared();

    public Manifest {
        customOfPeople = List.copyOf(customOfPeople);
        customOfEvents = List.copyOf(customOfEvents);
        practices = List.copyOf(practices);
    }

    public RecordFields fields() {
        return RecordFields.withCustom(customOfPeople, customOfEvents);
    }

    String written() {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(this) + "\n";
    }

    /** @throws RegionFault where it is no such file */
    static Manifest read(String file, String text) {
        try {
            Manifest manifest = JSON.readValue(text, Manifest.class);
            if (!FORMAT.equals(manifest.format())) {
                throw new RegionFault(
                        file, "it is not of the format " + FORMAT + ", but of “" + manifest.format() + "”.");
            }
            return manifest;
        } catch (JacksonException notOurs) {
            throw new RegionFault(file, "it does not say what lies here; convert the records again.");
        }
    }
}
