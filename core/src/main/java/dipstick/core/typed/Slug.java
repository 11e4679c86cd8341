package dipstick.core.typed;

import java.text.Normalizer;
import java.util.Locale;

/** Ids made of names: "Hearing check, due!" gives hearing-check-due. */
final class Slug {
    private Slug() {}

    /** Empty where the name has no letter and no figure. */
    static String of(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
    }
}
