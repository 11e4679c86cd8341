package dipstick.intake.describe;

/** What a delivery of people means. */
public enum Meaning {
    ADDS_AND_CHANGES,
    ONLY_ADDS,
    NAMES_EVERYBODY
}
