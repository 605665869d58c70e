package isokinon.server.db;

import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
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
import org.springframework.stereotype.Component;

/** Counts a change of what a mapper's statement {@link Changes} whenever it is run. */
@Component
@Intercepts({
  @Signature(
      type = Executor.class,
      method = "update",
      args = {MappedStatement.class, Object.class}),
  @Signature(
      type = Executor.class,
      method = "query",
      args = {MappedStatement.class, Object.class, RowBounds.class, ResultHandler.class})
})
public class CountChanges implements Interceptor {

  private final DataVersions versions;
  private final Map<String, List<Topic>> known = new ConcurrentHashMap<>();

  CountChanges(DataVersions versions) {
    this.versions = versions;
  }

  @Override
  public Object intercept(Invocation invocation) throws Throwable {
    Object result = invocation.proceed();
    MappedStatement statement = (MappedStatement) invocation.getArgs()[0];
    versions.changed(known.computeIfAbsent(statement.getId(), CountChanges::changes));
    return result;
  }

  /** What the statement {@code mapper.method} changes; nothing where it only reads. */
  private static List<Topic> changes(String id) {
    int dot = id.lastIndexOf('.');
    try {
      for (Method m : Class.forName(id.substring(0, dot)).getMethods()) {
        Changes changes = m.getAnnotation(Changes.class);
        if (m.getName().equals(id.substring(dot + 1)) && changes != null) {
          return Arrays.asList(changes.value());
        }
      }
    } catch (ClassNotFoundException e) {
      throw new IllegalStateException(e);
    }
    return List.of();
  }
}
