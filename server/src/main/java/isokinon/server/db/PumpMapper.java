package isokinon.server.db;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Pumps, their duties and the finished runs of their wear parts. */
public interface PumpMapper {

  /** The columns of a run. */
  String RUN =
      "select pump, role, material, duty_group, fitted_on, ended_on, hours, failed, cause, unit,"
          + " part_serial, place, construction, came_hours, counted, came_count, counts, note";

  @Select("select * from pump order by area_position, tag")
  List<PumpRow> all();

  @Select("select * from pump where tag = #{tag}")
  Optional<PumpRow> byTag(String tag);

  /** Reads the pump and keeps others from opening a rebuild of it until the transaction ends. */
  @Select("select * from pump where tag = #{tag} for update")
  Optional<PumpRow> lock(String tag);

  @Select("select count(*) from pump")
  int count();

  @Select("select * from exposure where pump = #{tag} order by position")
  List<ExposureRow> exposures(String tag);

  @Select("select * from exposure order by pump, position")
  List<ExposureRow> allExposures();

  /** The fluid that each pump pumps most of the time; those that move air have none. */
  default Map<String, String> mainFluids() {
    return allExposures().stream()
        .filter(e -> e.position() == 1)
        .collect(Collectors.toMap(ExposureRow::pump, ExposureRow::fluid));
  }

  /** The fluid that one pump pumps most of the time; empty where it moves air. */
  default String mainFluid(String tag) {
    return exposures(tag).stream().map(ExposureRow::fluid).findFirst().orElse("");
  }

  @Select(PumpMapper.RUN + " from run where pump = #{tag} order by fitted_on")
  List<RunRow> runs(String tag);

  @Select(PumpMapper.RUN + " from run order by pump, fitted_on")
  List<RunRow> allRuns();

  @Select(PumpMapper.RUN + " from run where ended_on >= #{from} order by pump, fitted_on")
  List<RunRow> runsSince(LocalDate from);

  /** Runs of a material in a duty group, whatever the role. */
  @Select(
      PumpMapper.RUN
          + " from run where material = #{material} and duty_group = #{group}"
          + " order by pump, fitted_on")
  List<RunRow> runsIn(@Param("material") String material, @Param("group") String group);

  @Insert(
      "insert into pump (tag, area, area_position, family, series, serial, sheet_id, "
          + "duty_title, duty_note, role, material, body_material, running_hours, strokes, "
          + "hours_per_day, interval_hours, abrasion, suction_lift_m, consequence, fitted_on, "
          + "fitted_at_hours, plan_on, counts_per_hour, hours_on, part_serial, came_hours, "
          + "came_count, fitted_at_count) values "
          + "(#{tag}, #{area}, #{areaPosition}, #{family}, #{series}, #{serial}, #{sheetId}, "
          + "#{dutyTitle}, #{dutyNote}, #{role}, #{material}, #{bodyMaterial}, "
          + "#{runningHours}, #{strokes}, #{hoursPerDay}, #{intervalHours}, #{abrasion}, "
          + "#{suctionLiftM}, #{consequence}, #{fittedOn}, #{fittedAtHours}, #{planOn}, "
          + "#{countsPerHour}, #{hoursOn}, #{partSerial}, #{cameHours}, #{cameCount}, "
          + "#{fittedAtCount})")
  @Changes({Topic.PUMPS, Topic.FITTED, Topic.COUNTERS})
  void add(PumpRow pump);

  @Insert(
      "insert into exposure (pump, position, fluid, concentration_pct, temperature_c, "
          + "share, note, usual_c, kind) values "
          + "(#{pump}, #{position}, #{fluid}, #{concentrationPct}, #{temperatureC}, #{share}, "
          + "#{note}, #{usualC}, #{kind})")
  @Changes(Topic.DUTIES)
  void addExposure(ExposureRow exposure);

  @Insert(
      "insert into run (pump, role, material, duty_group, fitted_on, ended_on, hours, failed, cause,"
          + " unit, part_serial, place, construction, came_hours, counted, came_count, counts, note)"
          + " values (#{pump}, #{role}, #{material}, #{dutyGroup}, #{fittedOn}, #{endedOn},"
          + " #{hours}, #{failed}, #{cause}, #{unit}, #{partSerial}, #{place}, #{construction},"
          + " #{cameHours}, #{counted}, #{cameCount}, #{counts}, #{note})")
  @Changes(Topic.RUNS)
  void addRun(RunRow run);

  /** A set went in: new, or with an age on it. */
  @Update(
      "update pump set material = #{material}, fitted_on = #{on}, fitted_at_hours ="
          + " #{atHours}, fitted_at_count = #{atCount}, part_serial = #{serial}, came_hours = #{cameHours},"
          + " came_count = #{cameCount}, plan_on = null where tag = #{tag}")
  @Changes({Topic.FITTED, Topic.PLANS})
  void refit(
      @Param("tag") String tag,
      @Param("material") String material,
      @Param("on") LocalDate on,
      @Param("atHours") double atHours,
      @Param("atCount") double atCount,
      @Param("serial") String serial,
      @Param("cameHours") double cameHours,
      @Param("cameCount") double cameCount);

  /** Another unit stands here now. */
  @Update(
      "update pump set serial = #{serial}, series = #{series}, body_material = #{body} where tag ="
          + " #{tag}")
  @Changes(Topic.PUMPS)
  void stands(
      @Param("tag") String tag,
      @Param("serial") String serial,
      @Param("series") String series,
      @Param("body") String body);

  @Update("update pump set interval_hours = #{hours} where tag = #{tag}")
  @Changes(Topic.PUMPS)
  void interval(@Param("tag") String tag, @Param("hours") double hours);
}
