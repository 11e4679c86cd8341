package dipstick.server.accounts;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The accounts of the demo, whose passwords its sign-in page shows. They exist in no other installation. */
public final class DemoAccounts {
    private record Demo(Colleague colleague, String password, String who) {}

    private static final List<Demo> ALL = List.of(
            new Demo(
                    new Colleague(
                            "orla",
                            "Orla Fenwick",
                            EnumSet.of(Role.COORDINATOR, Role.ADMINISTRATOR),
                            "",
                            false,
                            false,
                            false),
                    "amber-level-1",
                    "Orla Fenwick, records coordinator"),
            new Demo(simple("tam", "Tam Birchall", Role.CALLER), "amber-level-2", "Tam Birchall, caller"),
            new Demo(simple("ines", "Ines Wray", Role.CALLER), "amber-level-3", "Ines Wray, caller"),
            new Demo(
                    new Colleague("pennifer", "Dr Pennifer", Set.of(Role.CLINICIAN), "Dr Pennifer", true, false, false),
                    "amber-level-4",
                    "Dr Pennifer, clinician"),
            new Demo(simple("maud", "Maud Ketteridge", Role.MANAGER), "amber-level-5", "Maud Ketteridge, manager"));

    private DemoAccounts() {}

    private static Colleague simple(String name, String displayName, Role role) {
        return new Colleague(name, displayName, Set.of(role), "", false, false, false);
    }

    public static void create(Accounts accounts) {
        ALL.forEach(demo -> {
            String name = demo.colleague().name();
            accounts.create(demo.colleague(), demo.password(), name);
            accounts.keepEmail(name, name + "@example.org");
        });
    }

    static List<SessionController.DemoAccount> shown() {
        return ALL.stream()
                .map(demo -> new SessionController.DemoAccount(demo.colleague().name(), demo.password(), demo.who()))
                .toList();
    }
}
