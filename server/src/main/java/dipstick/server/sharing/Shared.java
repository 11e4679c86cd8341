package dipstick.server.sharing;

/**
 * Whose a set is.
 *
 * @param owner the sign-in name of who may always change it
 * @param everybody what those may do with whom it is not shared by name or group
 * @param revision by which changes that cross each other are told
 */
public record Shared(String setId, String owner, Right everybody, int revision) {}
