package dipstick.server;

import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Role;
import java.util.concurrent.atomic.AtomicInteger;

/** Signed-in people of each role. */
public final class People {
    private static final AtomicInteger NUMBER = new AtomicInteger();

    private People() {}

    public static Visitor coordinator() throws Exception {
        return signedIn(Role.COORDINATOR);
    }

    public static Visitor caller() throws Exception {
        return signedIn(Role.CALLER);
    }

    private static Visitor signedIn(Role role) throws Exception {
        RunningServer server = RunningServer.shared();
        String name = "person" + NUMBER.incrementAndGet();
        server.bean(Accounts.class).create(name, "Person " + name, role, "a long password");
        return server.visitor().signIn(name, "a%20long%20password");
    }
}
