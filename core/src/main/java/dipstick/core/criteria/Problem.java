package dipstick.core.criteria;

/**
 * What is wrong at one spot of a document.
 *
 * @param pointer the spot, as a JSON Pointer (RFC 6901)
 * @param message what is wrong and what would be right, as a sentence for a person
 */
public record Problem(String pointer, String message) {}
