package isokinon.server.db;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What stands in the pumps now, and how it is kept. */
public interface HistoryMapper {

  @Select("select * from fitted_part where pump = #{pump} order by role, place")
  List<FittedPartRow> fitted(String pump);

  @Select("select * from fitted_part order by pump, role, place")
  List<FittedPartRow> allFitted();

  @Insert(
      "insert into fitted_part (pump, role, place, part_serial, material, fitted_on, "
          + "fitted_at_hours, came_hours, fitted_at_count, came_count) values "
          + "(#{pump}, #{role}, #{place}, #{partSerial}, #{material}, #{fittedOn}, "
          + "#{fittedAtHours}, #{cameHours}, #{fittedAtCount}, #{cameCount})")
  @Changes(Topic.FITTED)
  void addFitted(FittedPartRow row);

  @Delete("delete from fitted_part where pump = #{pump} and role = #{role} and place = #{place}")
  @Changes(Topic.FITTED)
  void takeOut(
      @Param("pump") String pump, @Param("role") String role, @Param("place") String place);

  @Select(
      "select role, material, duty_group, shape from failure_mode where id in"
          + " (select max(id) from failure_mode group by role, material, duty_group)")
  List<FailureModeRow> failureModes();

  @Insert(
      "insert into failure_mode (role, material, duty_group, shape, chosen_by, chosen_at) values"
          + " (#{m.role}, #{m.material}, #{m.dutyGroup}, #{m.shape}, #{who}, #{at})")
  @Changes(Topic.FAILURE_MODES)
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
  @Changes(Topic.POLICIES)
  void choose(PolicyRow row);
}
