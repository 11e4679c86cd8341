package dipstick.server.accounts;

import java.util.List;

/** The two accounts of the demo, whose passwords its sign-in page shows. They exist in no other installation. */
public final class DemoAccounts {
    private record Demo(String name, String displayName, Role role, String password, String who) {}

    private static final List<Demo> ALL = List.of(
            new Demo("orla", "Orla Fenwick", Role.COORDINATOR, "amber-level-1", "Orla Fenwick, records coordinator"),
            new Demo("tam", "Tam Birchall", Role.CALLER, "amber-level-2", "Tam Birchall, caller"));

    private DemoAccounts() {}

    public static void create(Accounts accounts) {
        ALL.forEach(demo -> accounts.create(demo.name(), demo.displayName(), demo.role(), demo.password()));
    }

    static List<SessionController.DemoAccount> shown() {
        return ALL.stream()
                .map(demo -> new SessionController.DemoAccount(demo.name(), demo.password(), demo.who()))
                .toList();
    }
}
