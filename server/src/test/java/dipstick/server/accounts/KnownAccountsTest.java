package dipstick.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.server.RunningServer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.transaction.support.TransactionTemplate;

/** Accounts are known without asking the database, and never as they were before a change that was told to be made. */
class KnownAccountsTest {
    private static final String NAME = "known.changing";
    private static final int CHANGES = 150;
    private static final int READERS = 3;

    private Accounts accounts;
    private TransactionTemplate transactions;

    @BeforeEach
    void anAccount() throws Exception {
        RunningServer server = RunningServer.shared();
        accounts = server.bean(Accounts.class);
        transactions = server.bean(TransactionTemplate.class);
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(NAME, "", List.of()));
        if (accounts.find(NAME).isEmpty()) {
            accounts.create(NAME, "0", Role.CALLER, "long enough for anybody");
        }
    }

    private void called(String displayName) {
        Colleague next = new Colleague(NAME, displayName, Set.of(Role.CALLER), "", false, false, false);
        accounts.change(next, Optional.empty(), accounts.revision(NAME));
    }

    private int number() {
        return Integer.parseInt(accounts.displayName(NAME));
    }

    @Test
    void areAsTheyWereLastChangedWhileOthersRead() throws Exception {
        called("0");
        AtomicBoolean goesOn = new AtomicBoolean(true);
        try (ExecutorService readers = Executors.newFixedThreadPool(READERS)) {
            List<Future<Boolean>> forward = new ArrayList<>();
            for (int i = 0; i < READERS; i++) {
                forward.add(readers.submit(() -> {
                    boolean neverBack = true;
                    int last = 0;
                    while (goesOn.get()) {
                        int now = number();
                        neverBack &= now >= last;
                        last = now;
                    }
                    return neverBack;
                }));
            }
            for (int change = 1; change <= CHANGES; change++) {
                called(Integer.toString(change));
                assertThat(number()).isEqualTo(change);
            }
            goesOn.set(false);
            for (Future<Boolean> reader : forward) {
                assertThat(reader.get()).isTrue();
            }
        }
    }

    @Test
    void areWhatATransactionMadeOfThemWithinItAlone() {
        called("7");
        assertThatThrownBy(() -> transactions.executeWithoutResult(_ -> {
                    called("8");
                    assertThat(number()).isEqualTo(8);
                    throw new IllegalStateException("not after all");
                }))
                .isInstanceOf(IllegalStateException.class);
        assertThat(number()).isEqualTo(7);
    }
}
