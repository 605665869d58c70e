package isokinon.server.store;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What stands in the pumps now, how it is kept, and what has changed since one last looked. */
public interface HistoryMapper {

  /** Changes whenever anything changes that a forecast comes from. */
  @Select(
      "select concat_ws('|', (select max(id) from run), (select count(*) from run),"
          + " (select count(*) from pump), (select sum(running_hours) from pump),"
          + " (select sum(fitted_at_hours) from pump), (select sum(strokes) from pump),"
          + " (select max(hours_on) from pump), (select max(fitted_on) from pump),"
          + " (select string_agg(material, ',' order by tag) from pump),"
          + " (select string_agg(plan_on, ',' order by tag) from pump),"
          + " (select max(changed_at) from wet_end), (select count(*) from own_row),"
          + " (select max(ended_at) from own_row), (select max(id) from failure_mode),"
          + " (select max(brought_at) from counter_reading),"
          + " (select concat(count(*), max(fitted_on), sum(fitted_at_hours)) from fitted_part),"
          + " (select count(*) from rebuild where closed_at is null),"
          + " (select sum(interval_hours) from pump))")
  String stamp();

  /** Changes whenever what a wet end is chosen by changes, hours that merely run on left out. */
  @Select(
      "select concat_ws('|', (select max(id) from run), (select count(*) from run),"
          + " (select string_agg(concat(tag, material, body_material, serial), ',' order by tag)"
          + " from pump), (select max(changed_at) from wet_end), (select count(*) from own_row),"
          + " (select max(ended_at) from own_row), (select sum(quantity) from lot),"
          + " (select count(*) from lot))")
  String choiceStamp();

  @Select("select * from fitted_part where pump = #{pump} order by role, place")
  List<FittedPartRow> fitted(String pump);

  @Select("select * from fitted_part order by pump, role, place")
  List<FittedPartRow> allFitted();

  @Insert(
      "insert into fitted_part values (#{pump}, #{role}, #{place}, #{partSerial}, #{material},"
          + " #{fittedOn}, #{fittedAtHours}, #{cameHours}, #{fittedAtCount}, #{cameCount})")
  void addFitted(FittedPartRow row);

  @Delete("delete from fitted_part where pump = #{pump} and role = #{role} and place = #{place}")
  void takeOut(
      @Param("pump") String pump, @Param("role") String role, @Param("place") String place);

  @Select(
      "select role, material, duty_group, shape from failure_mode where id in"
          + " (select max(id) from failure_mode group by role, material, duty_group)")
  List<FailureModeRow> failureModes();

  @Insert(
      "insert into failure_mode (role, material, duty_group, shape, chosen_by, chosen_at) values"
          + " (#{m.role}, #{m.material}, #{m.dutyGroup}, #{m.shape}, #{who}, #{at})")
  void chooseMode(
      @Param("m") FailureModeRow mode, @Param("who") String who, @Param("at") OffsetDateTime at);

  @Select(
      "select pump, way, every_hours, because, chosen_by, chosen_at from policy where id in"
          + " (select max(id) from policy group by pump)")
  List<PolicyRow> policies();

  @Select(
      "select pump, way, every_hours, because, chosen_by, chosen_at from policy"
          + " where pump = #{pump} order by id desc limit 1")
  Optional<PolicyRow> policy(String pump);

  @Insert(
      "insert into policy (pump, way, every_hours, because, chosen_by, chosen_at) values"
          + " (#{pump}, #{way}, #{everyHours}, #{because}, #{chosenBy}, #{chosenAt})")
  void choose(PolicyRow row);
}
