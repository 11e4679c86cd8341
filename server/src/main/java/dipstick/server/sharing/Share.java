package dipstick.server.sharing;

/** What a colleague or a group may do with a set. */
public record Share(String setId, Kind kind, String grantee, Right granted) {
    public enum Kind {
        COLLEAGUE,
        GROUP
    }
}
