package isokinon.server.db.findings;

import isokinon.core.sheet.Family;
import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import isokinon.server.db.shop.GaugeRow;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Readings, causes and faults as they were found, gauges, and when to look again. */
public interface FindingMapper {

  @Insert(
      "insert into gauge (id, kind, title, unit, resolution, uncertainty, measures, "
          + "calibrated_until) values "
          + "(#{id}, #{kind}, #{title}, #{unit}, #{resolution}, #{uncertainty}, #{measures}, "
          + "#{calibratedUntil})")
  @Changes(Topic.SHOP)
  void addGauge(GaugeRow gauge);

  @Select(
      "select id, kind, title, unit, resolution, uncertainty, measures, calibrated_until from gauge"
          + " where retired_at is null order by id")
  List<GaugeRow> gauges();

  @Select(
      "select id, kind, title, unit, resolution, uncertainty, measures, calibrated_until from gauge"
          + " where id = #{id}")
  Optional<GaugeRow> gauge(String id);

  @Insert(
      "insert into reading (pump, subject, measure, unit, reading, taken_at, hours, who, gauge,"
          + " overdue, rebuild, last_of_part) values (#{pump}, #{subject}, #{measure}, #{unit},"
          + " #{reading}, #{takenAt}, #{hours}, #{who}, #{gauge}, #{overdue}, #{rebuild},"
          + " #{lastOfPart})")
  @Changes(Topic.FINDINGS)
  void addReading(ReadingRow row);

  @Select(
      "select pump, subject, measure, unit, reading, taken_at, hours, who, gauge, overdue, rebuild,"
          + " last_of_part from reading where pump = #{pump} order by subject, measure, taken_at,"
          + " id")
  List<ReadingRow> readings(String pump);

  @Select(
      "select pump, subject, measure, unit, reading, taken_at, hours, who, gauge, overdue, rebuild,"
          + " last_of_part from reading where pump = #{pump} and subject = #{subject}"
          + " order by taken_at, id")
  List<ReadingRow> readingsOf(@Param("pump") String pump, @Param("subject") String subject);

  /** The part was renewed in this rebuild: what is read of it later belongs to another life. */
  @Update(
      "update reading set last_of_part = true where rebuild = #{rebuild} and subject = #{subject}")
  @Changes(Topic.FINDINGS)
  void endLife(@Param("rebuild") long rebuild, @Param("subject") String subject);

  /** Another unit stands here now: none of its parts goes on with a life measured so far. */
  @Update("update reading set last_of_part = true where pump = #{pump}")
  @Changes(Topic.FINDINGS)
  void endLives(String pump);

  @Insert(
      "insert into cause_found (pump, family, part, cause, counters, note, material, hours,"
          + " found_at, rebuild) values (#{pump}, #{family}, #{part}, #{cause}, #{counters},"
          + " #{note}, #{material}, #{hours}, #{foundAt}, #{rebuild})")
  @Changes(Topic.FINDINGS)
  void addCause(CauseRow row);

  @Select(
      "select pump, family, part, cause, counters, note, material, hours, found_at, rebuild"
          + " from cause_found where pump = #{pump} order by found_at desc, id desc")
  List<CauseRow> causes(String pump);

  @Select(
      "select cause as id, cast(count(*) as int) as times from cause_found where family = #{family}"
          + " group by cause")
  List<CountRow> causeCounts(Family family);

  @Insert(
      "insert into fault_found (pump, family, fault, found_at, rebuild) values (#{pump}, #{family},"
          + " #{fault}, #{at}, #{rebuild})")
  @Changes(Topic.FINDINGS)
  void addFault(
      @Param("pump") String pump,
      @Param("family") Family family,
      @Param("fault") String fault,
      @Param("at") OffsetDateTime at,
      @Param("rebuild") Long rebuild);

  @Select(
      "select fault as id, cast(count(*) as int) as times from fault_found where family = #{family}"
          + " group by fault")
  List<CountRow> faultCounts(Family family);

  @Select("select * from next_look where pump = #{pump}")
  Optional<NextLookRow> nextLook(String pump);

  @Select("select * from next_look")
  List<NextLookRow> nextLooks();

  @Delete("delete from next_look where pump = #{pump}")
  @Changes(Topic.FINDINGS)
  void clearNextLook(String pump);

  @Insert(
      "insert into next_look (pump, at_hours, because) values "
          + "(#{pump}, #{atHours}, #{because})")
  @Changes(Topic.FINDINGS)
  void addNextLook(NextLookRow row);
}
