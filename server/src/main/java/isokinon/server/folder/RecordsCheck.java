package isokinon.server.folder;

import isokinon.server.db.rebuilds.EventRow;
import isokinon.server.work.rebuild.EventChain;
import java.io.PrintStream;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.OptionalLong;
import org.springframework.jdbc.core.DataClassRowMapper;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** Goes through the chain of every job and says where one was altered. */
public final class RecordsCheck {

  private RecordsCheck() {}

  /**
   * Goes through the records of a data folder that no server holds.
   *
   * @return how many jobs are not as they were recorded
   */
  public static int of(DataFolder folder, PrintStream out) throws SQLException {
    try (Connection database = DataFolder.database(folder.path())) {
      return of(database, out);
    }
  }

  /**
   * Prints a line for each job whose record is not as it was written, and one at the end.
   *
   * @return how many are not
   */
  static int of(Connection database, PrintStream out) throws SQLException {
    JdbcTemplate sql = new JdbcTemplate(new SingleConnectionDataSource(database, true));
    int altered = 0;
    long events = 0;
    List<Job> jobs =
        sql.query(
            "select id, pump from rebuild order by id", DataClassRowMapper.newInstance(Job.class));
    for (Job job : jobs) {
      List<EventRow> rows =
          sql.query(
              "select * from bench_event where rebuild = ? order by seq",
              DataClassRowMapper.newInstance(EventRow.class),
              job.id());
      OptionalLong seq = EventChain.firstAltered(rows);
      if (seq.isPresent()) {
        altered++;
        out.println(
            "Rebuild "
                + job.id()
                + " of "
                + job.pump()
                + ": entry "
                + seq.getAsLong()
                + " is not as it was recorded, or one before it is missing.");
      }
      events += rows.size();
    }
    out.println(
        altered == 0
            ? "All "
                + jobs.size()
                + " jobs with their "
                + events
                + " entries are as they were recorded."
            : altered + " of " + jobs.size() + " jobs were altered.");
    return altered;
  }

  private record Job(long id, String pump) {}
}
