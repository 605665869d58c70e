package isokinon.server.db.diary;

import isokinon.core.schedule.Shift;
import isokinon.core.sheet.Family;
import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The diary: shifts, fixtures, line stops, what binds a pump, and what is planned. */
public interface DiaryMapper {

  /** When somebody is at the bench; weekday 1 is Monday, minutes from midnight. */
  record ShiftRow(String who, int weekday, int fromMinute, int toMinute, boolean overtime) {

    /** The same as the bench's hours are reckoned with. */
    public Shift shift() {
      return new Shift(who, DayOfWeek.of(weekday), fromMinute, toMinute, overtime);
    }
  }

  /** A fixture, and the families of pumps whose jobs need it. */
  record FixtureRow(String id, String title, int pieces, String families) {

    /** Whether a job on such a pump needs it. */
    public boolean isFor(Family family) {
      return Arrays.asList(families.split(";")).contains(family.code());
    }
  }

  /** A line that stands still for a while. */
  record LineStopRow(String line, String title, OffsetDateTime startsAt, OffsetDateTime endsAt) {}

  /** The line that must stand still for a pump's job, and the pump it stands in for; or empty. */
  record PumpRuleRow(String pump, String line, String pair) {}

  /** A job in the diary. */
  record DiaryEntryRow(
      String pump,
      String who,
      OffsetDateTime startsAt,
      OffsetDateTime endsAt,
      boolean pinned,
      String because,
      String plannedBy,
      OffsetDateTime plannedAt) {}

  @Select("select who, weekday, from_minute, to_minute, overtime from shift order by id")
  List<ShiftRow> shifts();

  @Insert(
      "insert into shift (who, weekday, from_minute, to_minute, overtime) values (#{who},"
          + " #{weekday}, #{fromMinute}, #{toMinute}, #{overtime})")
  @Changes(Topic.DIARY)
  void addShift(ShiftRow row);

  @Select("select * from fixture order by id")
  List<FixtureRow> fixtures();

  @Insert(
      "insert into fixture (id, title, pieces, families) values "
          + "(#{id}, #{title}, #{pieces}, #{families})")
  @Changes(Topic.DIARY)
  void addFixture(FixtureRow row);

  /** Days on which nobody is at the bench. */
  @Select("select day_off from holiday order by day_off")
  List<LocalDate> holidays();

  @Select("select line, title, starts_at, ends_at from line_stop order by starts_at")
  List<LineStopRow> stops();

  @Insert(
      "insert into line_stop (line, title, starts_at, ends_at) values (#{line}, #{title},"
          + " #{startsAt}, #{endsAt})")
  @Changes(Topic.DIARY)
  void addStop(LineStopRow row);

  @Select("select * from pump_rule")
  List<PumpRuleRow> rules();

  @Insert("insert into pump_rule (pump, line, pair) values " + "(#{pump}, #{line}, #{pair})")
  @Changes(Topic.DIARY)
  void addRule(PumpRuleRow row);

  @Select("select * from diary_entry order by starts_at, pump")
  List<DiaryEntryRow> entries();

  /** The day a pump was planned for goes with its entry. */
  @Update("update pump set plan_on = null where tag in (select pump from diary_entry)")
  @Changes(Topic.PLANS)
  void forgetPlans();

  @Delete("delete from diary_entry")
  @Changes(Topic.DIARY)
  void clear();

  /** Writes entries, at least one. */
  @Insert({
    "<script>insert into diary_entry (pump, who, starts_at, ends_at, pinned, because, planned_by,"
        + " planned_at) values <foreach collection='rows' item='r' separator=','>(#{r.pump},"
        + " #{r.who}, #{r.startsAt}, #{r.endsAt}, #{r.pinned}, #{r.because}, #{r.plannedBy},"
        + " #{r.plannedAt})</foreach></script>"
  })
  @Changes(Topic.DIARY)
  void add(@Param("rows") List<DiaryEntryRow> rows);

  /** A pump and the day it is planned for. */
  record PlannedDay(String pump, LocalDate on) {}

  /** Writes the days that pumps are planned for, at least one. */
  @Update({
    "<script>merge into pump (tag, plan_on) key (tag) values <foreach collection='rows' item='r'"
        + " separator=','>(#{r.pump}, #{r.on})</foreach></script>"
  })
  @Changes(Topic.PLANS)
  void plan(@Param("rows") List<PlannedDay> rows);
}
