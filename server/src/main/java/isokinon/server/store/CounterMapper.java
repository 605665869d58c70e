package isokinon.server.store;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Readings of hour and stroke counters, and what they add to a pump. */
public interface CounterMapper {

  @Select("select * from counter_reading where pump = #{pump} and kind = #{kind} order by at")
  List<CounterRow> readings(@Param("pump") String pump, @Param("kind") String kind);

  @Insert(
      "insert into counter_reading values (#{pump}, #{kind}, #{at}, #{reading}, #{broughtBy},"
          + " #{broughtAt})")
  void add(CounterRow row);

  @Update("update pump set running_hours = running_hours + #{gained} where tag = #{pump}")
  void addHours(@Param("pump") String pump, @Param("gained") double gained);

  @Update("update pump set strokes = strokes + #{gained} where tag = #{pump}")
  void addStrokes(@Param("pump") String pump, @Param("gained") double gained);
}
