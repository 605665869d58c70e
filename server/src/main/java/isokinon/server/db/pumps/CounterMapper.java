package isokinon.server.db.pumps;

import isokinon.core.counter.CounterLog;
import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Readings of hour and stroke counters, and what they add to a pump. */
public interface CounterMapper {

  @Select("select * from counter_reading where pump = #{pump} and kind = #{kind} order by at")
  List<CounterRow> readings(@Param("pump") String pump, @Param("kind") CounterLog.Kind kind);

  @Insert(
      "insert into counter_reading (pump, kind, at, reading, brought_by, brought_at) "
          + "values "
          + "(#{pump}, #{kind}, #{at}, #{reading}, #{broughtBy}, #{broughtAt})")
  @Changes(Topic.COUNTERS)
  void add(CounterRow row);

  /** Every reading, in the order of pumps and time. */
  @Select("select * from counter_reading order by pump, kind, at")
  List<CounterRow> all();

  @Select("select * from counter_reading order by pump, kind, at limit #{most}")
  List<CounterRow> first(int most);

  @Select("select * from counter_reading where pump = #{pump} order by kind, at")
  List<CounterRow> ofPump(String pump);

  @Select("select count(*) from counter_reading")
  int count();

  /** Takes out a reading that a table brought by mistake. */
  @Delete("delete from counter_reading where pump = #{pump} and kind = #{kind} and at = #{at}")
  @Changes(Topic.COUNTERS)
  void remove(
      @Param("pump") String pump,
      @Param("kind") CounterLog.Kind kind,
      @Param("at") OffsetDateTime at);

  /** Readings of the hour counters of all pumps from {@code from} on. */
  @Select("select * from counter_reading where kind = 'hours' and at >= #{from} order by pump, at")
  List<CounterRow> hoursSince(OffsetDateTime from);

  @Select(
      "select * from counter_reading where pump = #{pump} and kind = 'hours' and at >= #{from}"
          + " order by at")
  List<CounterRow> hoursOf(@Param("pump") String pump, @Param("from") OffsetDateTime from);

  /** Hours run on; what is counted with them goes on at the pump's pace until it is read itself. */
  @Update(
      "update pump set running_hours = running_hours + #{gained}, hours_on = #{on}, strokes ="
          + " strokes + #{gained} * counts_per_hour * (case when exists (select 1 from"
          + " counter_reading where pump = tag and kind = 'strokes') then 0 else 1 end)"
          + " where tag = #{pump}")
  @Changes(Topic.COUNTERS)
  void addHours(
      @Param("pump") String pump, @Param("gained") double gained, @Param("on") LocalDate on);

  @Update("update pump set strokes = strokes + #{gained} where tag = #{pump}")
  @Changes(Topic.COUNTERS)
  void addStrokes(@Param("pump") String pump, @Param("gained") double gained);
}
