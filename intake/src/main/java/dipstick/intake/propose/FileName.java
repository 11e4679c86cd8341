package dipstick.intake.propose;

import dipstick.core.text.NormalText;
import dipstick.intake.describe.FileFormat;

/** What the name of a file says of what is in it. */
record FileName(String written) {
    private static final String ENDINGS = "(?i)(\\.(" + String.join("|", FileFormat.allEndings()) + "))+$";

    /** Without its ending and the day in it, for a person. */
    String plain() {
        String name = written.replaceFirst(ENDINGS, "")
                .replaceAll("[\\d_\\-.]+$", "")
                .replace('_', ' ')
                .strip();
        return name.isEmpty() ? "New intake" : name;
    }

    String slug() {
        String slug = NormalText.of(withoutEnding())
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        return slug.isEmpty() ? "intake" : slug;
    }

    String withoutEnding() {
        return written.replaceFirst("\\.[^.]*$", "");
    }
}
