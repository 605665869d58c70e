package isokinon.server.db.pumps;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Pumps, their duties, the wear parts in them and the finished runs of those that came out. */
public interface PumpMapper {

  /** The columns of a run. */
  String RUN =
      "select pump, role, material, duty_group, fitted_on, ended_on, hours, failed, cause, unit,"
          + " part_serial, place, construction, came_hours, counted, came_count, counts, note";

  /** The columns of a pump, with those of the set that leads its wear. */
  String IN_SERVICE =
      "select p.tag, p.area, p.area_position, p.family, p.series, p.serial, p.sheet_id,"
          + " p.duty_title, p.duty_note, f.role, f.material, p.body_material, p.running_hours,"
          + " p.strokes, p.hours_per_day, p.interval_hours, p.abrasion, p.suction_lift_m,"
          + " p.consequence, f.fitted_on, f.fitted_at_hours, p.plan_on, p.counts_per_hour,"
          + " p.hours_on, f.part_serial, f.came_hours, f.came_count, f.fitted_at_count,"
          + " p.variants"
          + " from pump p join fitted_part f on f.pump = p.tag and f.leading";

  /** The columns of a fitted part. */
  String FITTED =
      "select f.pump, f.role, f.place, f.part_serial, f.material, f.fitted_on, f.fitted_at_hours,"
          + " f.came_hours, f.fitted_at_count, f.came_count, f.leading from fitted_part f";

  /** The pumps that are not retired. */
  @Select(PumpMapper.IN_SERVICE + " where p.retired_at is null order by p.area_position, p.tag")
  List<PumpRow> all();

  @Select(PumpMapper.IN_SERVICE + " where p.tag = #{tag}")
  Optional<PumpRow> byTag(String tag);

  /** Reads the pump and keeps others from opening a rebuild of it until the transaction ends. */
  default Optional<PumpRow> lock(String tag) {
    return lockPosition(tag).flatMap(this::byTag);
  }

  /** Locks the row of a position until the transaction ends. */
  @Select("select tag from pump where tag = #{tag} for update")
  Optional<String> lockPosition(String tag);

  /** What stands in a pump, the set that leads its wear first. */
  @Select(PumpMapper.FITTED + " where f.pump = #{pump} order by f.leading desc, f.role, f.place")
  List<FittedPartRow> fitted(String pump);

  /** What stands in every pump: the leading sets in the order of the pumps, then the others. */
  @Select(
      PumpMapper.FITTED
          + " join pump p on p.tag = f.pump where p.retired_at is null order by f.leading desc,"
          + " case when f.leading then p.area_position else 0 end, f.pump, f.role, f.place")
  List<FittedPartRow> allFitted();

  @Insert(
      "insert into fitted_part (pump, role, place, part_serial, material, fitted_on,"
          + " fitted_at_hours, came_hours, fitted_at_count, came_count, leading) values"
          + " (#{pump}, #{role}, #{place}, #{partSerial}, #{material}, #{fittedOn},"
          + " #{fittedAtHours}, #{cameHours}, #{fittedAtCount}, #{cameCount}, #{leading})")
  @Changes(Topic.FITTED)
  void fit(FittedPartRow part);

  @Delete("delete from fitted_part where pump = #{pump} and role = #{role} and place = #{place}")
  @Changes(Topic.FITTED)
  void takeOut(
      @Param("pump") String pump, @Param("role") String role, @Param("place") String place);

  /** The day that was planned for the pump's next job is over. */
  @Update("update pump set plan_on = null where tag = #{tag}")
  @Changes(Topic.PLANS)
  void unplan(String tag);

  /** A part goes in where another of its role and place may stand. */
  default void refit(FittedPartRow part) {
    takeOut(part.pump(), part.role(), part.place());
    fit(part);
    if (part.leading()) {
      unplan(part.pump());
    }
  }

  /** When a pump was retired; empty where it is in service or unknown. */
  @Select("select retired_at from pump where tag = #{tag} and retired_at is not null")
  Optional<OffsetDateTime> retiredAt(String tag);

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

  @Select(PumpMapper.RUN + " from run order by pump, fitted_on limit #{most}")
  List<RunRow> firstRuns(int most);

  /** The runs of these pumps, and those of parts with these serials. */
  @Select(
      "<script>"
          + PumpMapper.RUN
          // a list that is empty would be no list: nothing is equal to null
          + " from run where id in (select id from run where pump in"
          + " (null<foreach collection='tags' item='t'>, #{t}</foreach>)"
          + " union select id from run where part_serial in"
          + " (null<foreach collection='serials' item='s'>, #{s}</foreach>))"
          + " order by pump, fitted_on</script>")
  List<RunRow> runsOfAny(
      @Param("tags") Collection<String> tags, @Param("serials") Collection<String> serials);

  /** How many runs there are, and the number of the last. */
  @Select("select coalesce(max(id), 0) as last, count(*) as runs from run")
  RunCount countRuns();

  /** The runs that were added after one and up to another, in the order they came. */
  @Select(PumpMapper.RUN + " from run where id > #{after} and id <= #{to} order by id")
  List<RunRow> runsBetween(@Param("after") long after, @Param("to") long to);

  @Select(
      PumpMapper.RUN + " from run where pump = #{tag} and ended_on >= #{from} order by fitted_on")
  List<RunRow> runsOfSince(@Param("tag") String tag, @Param("from") LocalDate from);

  /** Runs of a material in a duty group, whatever the role. */
  @Select(
      PumpMapper.RUN
          + " from run where material = #{material} and duty_group = #{group}"
          + " order by pump, fitted_on")
  List<RunRow> runsIn(@Param("material") String material, @Param("group") String group);

  /** A pump with the set that leads its wear. */
  default void add(PumpRow pump) {
    addPosition(pump);
    fit(pump.set());
  }

  @Insert(
      "insert into pump (tag, area, area_position, family, series, serial, sheet_id, "
          + "duty_title, duty_note, body_material, running_hours, strokes, "
          + "hours_per_day, interval_hours, abrasion, suction_lift_m, consequence, "
          + "plan_on, counts_per_hour, hours_on, variants) values "
          + "(#{tag}, #{area}, #{areaPosition}, #{family}, #{series}, #{serial}, #{sheetId}, "
          + "#{dutyTitle}, #{dutyNote}, #{bodyMaterial}, "
          + "#{runningHours}, #{strokes}, #{hoursPerDay}, #{intervalHours}, #{abrasion}, "
          + "#{suctionLiftM}, #{consequence}, #{planOn}, #{countsPerHour}, #{hoursOn}, #{variants})")
  @Changes({Topic.PUMPS, Topic.COUNTERS})
  void addPosition(PumpRow pump);

  @Insert(
      "insert into exposure (pump, position, fluid, concentration_pct, temperature_c, "
          + "share, note, usual_c, kind) values "
          + "(#{pump}, #{position}, #{fluid}, #{concentrationPct}, #{temperatureC}, #{share}, "
          + "#{note}, #{usualC}, #{kind})")
  @Changes(Topic.DUTIES)
  void addExposure(ExposureRow exposure);

  /** The duties that pumps had before, the first one first. */
  @Select(
      "select pump, until_on, duty, changed_by, changed_at from past_duty order by until_on, id")
  List<PastDutyRow> pastDuties();

  @Insert(
      "insert into past_duty (pump, until_on, duty, changed_by, changed_at) values (#{pump},"
          + " #{untilOn}, #{duty}, #{changedBy}, #{changedAt})")
  @Changes(Topic.DUTIES)
  void keepDuty(PastDutyRow row);

  @Insert(
      "insert into run (pump, role, material, duty_group, fitted_on, ended_on, hours, failed, cause,"
          + " unit, part_serial, place, construction, came_hours, counted, came_count, counts, note)"
          + " values (#{pump}, #{role}, #{material}, #{dutyGroup}, #{fittedOn}, #{endedOn},"
          + " #{hours}, #{failed}, #{cause}, #{unit}, #{partSerial}, #{place}, #{construction},"
          + " #{cameHours}, #{counted}, #{cameCount}, #{counts}, #{note})")
  @Changes(Topic.RUNS)
  void addRun(RunRow run);

  /** Takes a run out that a table brought by mistake. */
  @Delete(
      "delete from run where pump = #{pump} and role = #{role} and place = #{place} and fitted_on ="
          + " #{fittedOn} and ended_on = #{endedOn}")
  @Changes(Topic.RUNS)
  void removeRun(
      @Param("pump") String pump,
      @Param("role") String role,
      @Param("place") String place,
      @Param("fittedOn") LocalDate fittedOn,
      @Param("endedOn") LocalDate endedOn);

  /** The positions that a unit with this serial stands in, as they say. */
  @Select("select tag from pump where serial = #{serial} order by tag")
  List<String> withUnit(String serial);

  /** Another unit stands here now. */
  @Update(
      "update pump set serial = #{serial}, series = #{series}, body_material = #{body},"
          + " variants = #{variants} where tag = #{tag}")
  @Changes(Topic.PUMPS)
  void stands(
      @Param("tag") String tag,
      @Param("serial") String serial,
      @Param("series") String series,
      @Param("body") String body,
      @Param("variants") String variants);

  /** It was seen how the unit is made. */
  @Update("update pump set variants = #{variants} where tag = #{tag}")
  @Changes(Topic.PUMPS)
  void madeBy(@Param("tag") String tag, @Param("variants") String variants);

  @Update("update pump set interval_hours = #{hours} where tag = #{tag}")
  @Changes(Topic.PUMPS)
  void interval(@Param("tag") String tag, @Param("hours") double hours);

  /** Where the energies of a position are cut. */
  @Select("select pump, hazard, place from pump_energy where pump = #{tag}")
  List<PumpEnergyRow> energies(String tag);

  @Insert("insert into pump_energy (pump, hazard, place) values (#{pump}, #{hazard}, #{place})")
  @Changes(Topic.PUMPS)
  void addEnergy(PumpEnergyRow row);
}
