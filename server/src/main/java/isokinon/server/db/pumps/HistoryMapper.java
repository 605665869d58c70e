package isokinon.server.db.pumps;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** How the wear parts of the pumps are kept. */
public interface HistoryMapper {

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
