package dipstick.server.readings;

/**
 * A dial of a list as it is set.
 *
 * @param label what it is called, and {@code value} what it is set to, in words
 * @param turned whether it is set otherwise than the set has it
 */
public record DialSetting(String name, String label, String value, boolean turned) {
    /** What it is called and what it is set to. */
    public String words() {
        return (label.isEmpty() ? name : label) + ": " + value;
    }
}
