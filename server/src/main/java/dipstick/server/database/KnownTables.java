package dipstick.server.database;

import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Supplier;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Sees every write of a mapper, so that nobody has to remember that rows are known somewhere. MyBatis's own cache may keep
 * what was read while another transaction commits; this one does not.
 */
@Component
@Intercepts(
        @Signature(
                type = Executor.class,
                method = "update",
                args = {MappedStatement.class, Object.class}))
public class KnownTables implements Interceptor {
    private record OfMapper(String statements, KnownRows<?> rows) {}

    private final Queue<OfMapper> known = new ConcurrentLinkedQueue<>();

    /** @param mapper by which alone the rows are written */
    public <V> KnownRows<V> keep(Class<?> mapper, Supplier<V> read) {
        KnownRows<V> rows = new KnownRows<>(read);
        known.add(new OfMapper(mapper.getName() + ".", rows));
        return rows;
    }

    @Override
    public Object intercept(Invocation write) throws ReflectiveOperationException {
        String statement = ((MappedStatement) write.getArgs()[0]).getId();
        try {
            return write.proceed();
        } finally {
            known.stream()
                    .filter(one -> statement.startsWith(one.statements()))
                    .forEach(one -> forgetOnceItCounts(one.rows()));
        }
    }

    private static void forgetOnceItCounts(KnownRows<?> rows) {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    rows.forget();
                }
            });
        } else {
            rows.forget();
        }
    }
}
