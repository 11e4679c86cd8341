package dipstick.core.records;

/** What a field holds, which decides how its cells are read and which operators fit it. */
public enum FieldType {
    /** Text that is trimmed only, such as {@code id}. */
    IDENTIFIER("text"),
    TEXT("text"),
    /** Several texts, such as keywords: a test holds if it holds for any of them. */
    TEXTS("text"),
    /** Further codes of a record, which term sets look at and tests do not. */
    CODINGS("code"),
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
        return this == TEXT || this == TEXTS || this == IDENTIFIER;
    }
}
