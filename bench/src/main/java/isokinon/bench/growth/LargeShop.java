package isokinon.bench.growth;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;

/**
 * Fills the database of a stopped shop with copies of one pump in one duty, each with a hundred
 * runs and rebuilds that were handed back: one very large group, the worst case for counting.
 */
final class LargeShop {

  static final int RUNS_PER_PUMP = 100;
  private static final String MODEL = "EFF-02";
  private static final int EVENTS_PER_REBUILD = 150;
  private static final int EVENTS_PER_PUMP = 100;

  private LargeShop() {}

  /** Fills it with so many pumps; tells how many events that made. */
  static int fill(Connection shop, int pumps) throws SQLException {
    shop.setAutoCommit(false);
    try (Statement statement = shop.createStatement()) {
      copies(statement, pumps);
      int rebuilds = pumps * EVENTS_PER_PUMP / EVENTS_PER_REBUILD;
      rebuilds(shop, statement, rebuilds, pumps);
      shop.commit();
      return rebuilds * EVENTS_PER_REBUILD;
    }
  }

  private static void copies(Statement statement, int pumps) throws SQLException {
    for (String table : new String[] {"pump", "exposure", "fitted_part"}) {
      String key = table.equals("pump") ? "tag" : "pump";
      statement.execute(
          "create local temporary table model_%s as select * from %s where %s = '%s'"
              .formatted(table, table, key, MODEL));
      for (int i = 0; i < pumps; i++) {
        statement.addBatch("update model_%s set %s = 'L-%d'".formatted(table, key, i));
        if (table.equals("fitted_part")) {
          // Of different ages, as sets are: what is reckoned of one is not that of the next.
          statement.addBatch(
              "update model_fitted_part set fitted_at_hours = fitted_at_hours - 1.7");
        }
        statement.addBatch("insert into %s select * from model_%s".formatted(table, table));
      }
      statement.executeBatch();
    }
    for (int i = 0; i < pumps; i++) {
      statement.addBatch(
          ("insert into run (pump, role, material, duty_group, fitted_on, ended_on, hours, failed,"
                  + " cause, construction) select 'L-%d', role, material, duty_group, fitted_on,"
                  + " ended_on, hours + n, failed, cause, construction"
                  + " from run cross join system_range(1, %d) as t(n) where pump = '%s' limit %d")
              .formatted(i, RUNS_PER_PUMP, MODEL, RUNS_PER_PUMP));
    }
    statement.executeBatch();
  }

  private static void rebuilds(Connection shop, Statement statement, int rebuilds, int pumps)
      throws SQLException {
    long first;
    try (ResultSet last = statement.executeQuery("select coalesce(max(id), 0) from rebuild")) {
      last.next();
      first = last.getLong(1) + 1;
    }
    for (int r = 0; r < rebuilds; r++) {
      statement.addBatch(
          ("insert into rebuild (id, pump, sheet_id, sheet_revision, opened_at, opened_by, reason,"
                  + " fitted_material, hours_then, closed_at) overriding system value select %d, 'L-%d', s.id, s.revision,"
                  + " dateadd(day, -400, now()), 'RT', '', 'CSM', 0, dateadd(day, -399, now())"
                  + " from pump p join sheet s on s.id = p.sheet_id where p.tag = '%s'"
                  + " order by s.revision desc limit 1")
              .formatted(first + r, r % pumps, MODEL));
    }
    statement.executeBatch();
    statement.execute("alter table rebuild alter column id restart with " + (first + rebuilds));
    try (PreparedStatement event =
        shop.prepareStatement(
            "insert into bench_event (rebuild, seq, act_key, at, who, lead, kind, step, subject,"
                + " pass, fastener, reading, unit, text, items) values (?, ?, ?, dateadd(day, -400,"
                + " now()), 'RT', false, 'NOTED', '', '', 0, 0, null, '',"
                + " 'a note of the usual length about what was seen', '')")) {
      for (int e = 0; e < rebuilds * EVENTS_PER_REBUILD; e++) {
        event.setLong(1, first + e / EVENTS_PER_REBUILD);
        event.setLong(2, 1 + e % EVENTS_PER_REBUILD);
        event.setString(3, UUID.randomUUID().toString());
        event.addBatch();
        if (e % 5_000 == 4_999) {
          event.executeBatch();
        }
      }
      event.executeBatch();
    }
  }
}
