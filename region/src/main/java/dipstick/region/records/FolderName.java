package dipstick.region.records;

import java.nio.charset.StandardCharsets;

/** The name of a practice as the name of a folder: letters of other scripts, spaces and marks are written as %XX. */
public final class FolderName {
    private FolderName() {}

    /** The same for no other name, on storage that tells capitals apart. */
    public static String of(String practice) {
        StringBuilder name = new StringBuilder();
        for (byte one : practice.getBytes(StandardCharsets.UTF_8)) {
            char letter = (char) (one & 0xFF);
            boolean plain = letter < 0x80 && (Character.isLetterOrDigit(letter) || letter == '-' || letter == '_');
            name.append(plain ? String.valueOf(letter) : String.format("%%%02X", (int) letter));
        }
        return name.toString();
    }
}
