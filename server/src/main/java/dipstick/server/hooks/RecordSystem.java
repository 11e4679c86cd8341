package dipstick.server.hooks;

/**
 * A record system that may ask.
 *
 * @param issuer as which it signs its requests ({@code iss})
 * @param keys its public keys, a JSON Web Key Set (RFC 7517)
 * @param numberSystem the URI of the identifier by which it names people; empty where it is the id of its patients
 * @param source the intakes' source whose numbers these are; empty where they are those of the records
 */
public record RecordSystem(
        String id, String name, String issuer, String keys, String numberSystem, String source, int revision) {
    /** As what it does is written down. */
    String account() {
        return "record system " + id;
    }
}
