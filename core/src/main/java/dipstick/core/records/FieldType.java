package dipstick.core.records;

/** What a field holds, which decides how its cells are read and which operators fit it. */
public enum FieldType {
    /** Text that is trimmed only, such as {@code id}. */
    IDENTIFIER("text"),
    TEXT("text"),
    NUMBER("number"),
    DATE("date"),
    FLAG("flag");

    private final String word;

    FieldType(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public boolean isText() {
        return this == TEXT || this == IDENTIFIER;
    }
}
