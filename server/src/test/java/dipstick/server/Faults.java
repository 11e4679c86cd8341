package dipstick.server;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.apache.ibatis.session.ResultHandler;
import org.apache.ibatis.session.RowBounds;

/** Has statements of the database fail, so that it can be tried what becomes of what was under way. */
@Intercepts({
    @Signature(
            type = Executor.class,
            method = "update",
            args = {MappedStatement.class, Object.class}),
    @Signature(
            type = Executor.class,
            method = "query",
            args = {MappedStatement.class, Object.class, RowBounds.class, ResultHandler.class}),
    @Signature(
            type = Executor.class,
            method = "queryCursor",
            args = {MappedStatement.class, Object.class, RowBounds.class})
})
public final class Faults implements Interceptor {
    private final Map<String, Integer> failing = new ConcurrentHashMap<>();

    /** The next so many runs of a statement fail, named as in {@code RecordsMapper.stamp}. */
    public void fail(String statement, int times) {
        failing.put(statement, times);
    }

    public void heal() {
        failing.clear();
    }

    @Override
    public Object intercept(Invocation invocation) throws Throwable {
        String id = ((MappedStatement) invocation.getArgs()[0]).getId();
        String statement = id.substring(id.lastIndexOf('.', id.lastIndexOf('.') - 1) + 1);
        if (failing.compute(statement, (_, left) -> left == null ? -1 : left - 1) >= 0) {
            throw new IllegalStateException("The statement " + statement + " fails, as it was told to");
        }
        return invocation.proceed();
    }
}
