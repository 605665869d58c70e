package isokinon.server.folder;

import isokinon.server.db.rebuilds.EventRow;
import isokinon.server.work.rebuild.EventChain;
import java.io.PrintStream;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;

/** Goes through the chain of every job and says where one was altered. */
public final class RecordsCheck {

  private RecordsCheck() {}

  /**
   * Goes through the records of a data folder that no server holds.
   *
   * @return how many jobs are not as they were recorded
   */
  public static int of(DataFolder folder, PrintStream out) throws SQLException {
    String url = "jdbc:h2:file:" + folder.path().resolve("isokinon") + ";IFEXISTS=TRUE";
    try (Connection database = DriverManager.getConnection(url, "sa", "")) {
      return of(database, out);
    }
  }

  /**
   * Prints a line for each job whose record is not as it was written, and one at the end.
   *
   * @return how many are not
   */
  static int of(Connection database, PrintStream out) throws SQLException {
    int jobs = 0;
    int altered = 0;
    long events = 0;
    try (Statement ask = database.createStatement();
        ResultSet found = ask.executeQuery("select id, pump from rebuild order by id")) {
      while (found.next()) {
        long id = found.getLong("id");
        List<EventRow> rows = events(database, id);
        OptionalLong seq = EventChain.firstAltered(rows);
        if (seq.isPresent()) {
          altered++;
          out.println(
              "Rebuild "
                  + id
                  + " of "
                  + found.getString("pump")
                  + ": entry "
                  + seq.getAsLong()
                  + " is not as it was recorded, or one before it is missing.");
        }
        jobs++;
        events += rows.size();
      }
    }
    out.println(
        altered == 0
            ? "All " + jobs + " jobs with their " + events + " entries are as they were recorded."
            : altered + " of " + jobs + " jobs were altered.");
    return altered;
  }

  private static List<EventRow> events(Connection database, long rebuild) throws SQLException {
    List<EventRow> rows = new ArrayList<>();
    try (Statement ask = database.createStatement();
        ResultSet e =
            ask.executeQuery(
                "select * from bench_event where rebuild = " + rebuild + " order by seq")) {
      while (e.next()) {
        double reading = e.getDouble("reading");
        rows.add(
            new EventRow(
                rebuild,
                e.getLong("seq"),
                e.getString("act_key"),
                e.getObject("at", OffsetDateTime.class),
                e.getString("who"),
                e.getBoolean("lead"),
                e.getString("kind"),
                e.getString("step"),
                e.getString("subject"),
                e.getInt("pass"),
                e.getInt("fastener"),
                e.getObject("reading") == null ? null : reading,
                e.getString("unit"),
                e.getString("text"),
                e.getString("items"),
                e.getString("device"),
                e.getString("digest")));
      }
    }
    return rows;
  }
}
