package isokinon.server.db.materials;

import isokinon.core.wear.Measures;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import isokinon.server.db.pumps.WetEndRow;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Duties, wet-end kits, the shop's own library rows and what was seen of materials in fluids. */
public interface WetEndMapper {

  @Select("select * from wet_end where pump = #{pump}")
  Optional<WetEndRow> wetEnd(String pump);

  @Select("select * from wet_end")
  List<WetEndRow> wetEnds();

  @Delete("delete from wet_end where pump = #{pump}")
  @Changes(Topic.DUTIES)
  void clear(String pump);

  @Insert(
      "insert into wet_end (pump, hardware, rotor_class_mm, parts, stop_cost, "
          + "pressure_bar, viscosity_mpas, density_kg_m3, solids_mm, solids_pct, solids_mohs, "
          + "ambient_c, food, zone, runs_dry, chloride_mg_l, ph_low, ph_high, chlorine_mg_l, changed_by, changed_at) values "
          + "(#{pump}, #{hardware}, #{rotorClassMm}, #{parts}, #{stopCost}, #{pressureBar}, "
          + "#{viscosityMpas}, #{densityKgM3}, #{solidsMm}, #{solidsPct}, #{solidsMohs}, "
          + "#{ambientC}, #{food}, #{zone}, #{runsDry}, #{chlorideMgL}, #{phLow}, #{phHigh}, #{chlorineMgL}, #{changedBy}, #{changedAt})")
  @Changes(Topic.DUTIES)
  void add(WetEndRow row);

  @Update(
      "update wet_end set hardware = #{hardware}, rotor_class_mm = #{rotorClassMm}, parts ="
          + " #{parts} where pump = #{pump}")
  @Changes(Topic.DUTIES)
  int fitted(
      @Param("pump") String pump,
      @Param("hardware") String hardware,
      @Param("rotorClassMm") double rotorClassMm,
      @Param("parts") String parts);

  @Delete("delete from exposure where pump = #{pump}")
  @Changes(Topic.DUTIES)
  void clearExposures(String pump);

  @Update(
      "update pump set abrasion = #{abrasion}, suction_lift_m = #{suctionLiftM}, duty_title ="
          + " #{title} where tag = #{pump}")
  @Changes({Topic.DUTIES, Topic.PUMPS})
  void duty(
      @Param("pump") String pump,
      @Param("title") String title,
      @Param("abrasion") Abrasion abrasion,
      @Param("suctionLiftM") double suctionLiftM);

  @Select("select * from wet_kit order by sheet_id, material, hardware")
  List<WetKitRow> allKits();

  @Insert(
      "insert into wet_kit (sheet_id, kit, material, hardware, parts, price, lead_days,"
          + " order_number) "
          + "values "
          + "(#{sheetId}, #{kit}, #{material}, #{hardware}, #{parts}, #{price}, #{leadDays},"
          + " #{orderNumber})")
  @Changes(Topic.CATALOGUE)
  void addKit(WetKitRow row);

  @Select("select * from own_row where ended_at is null order by id")
  List<OwnRow> ownRows();

  @Select("select * from own_row where table_name = #{table} order by id desc limit #{most}")
  List<OwnRow> history(@Param("table") String table, @Param("most") int most);

  @Select(
      "select * from own_row where table_name = 'resistance' and row_key like #{like}"
          + " order by id desc")
  List<OwnRow> historyLike(String like);

  @Insert(
      "insert into own_row (table_name, row_key, line, written_by, written_at) values"
          + " (#{tableName}, #{rowKey}, #{line}, #{writtenBy}, #{writtenAt})")
  @Changes(Topic.MATERIALS)
  void addOwn(OwnRow row);

  @Update(
      "update own_row set ended_by = #{who}, ended_at = #{at} where table_name = #{table}"
          + " and id = #{id} and ended_at is null")
  @Changes(Topic.MATERIALS)
  int endOwn(
      @Param("table") String table,
      @Param("id") long id,
      @Param("who") String who,
      @Param("at") OffsetDateTime at);

  @Insert(
      "insert into finding (pump, material, fluid, concentration_pct, temperature_c, kind, reading,"
          + " note, found_by, found_at) values (#{pump}, #{material}, #{fluid},"
          + " #{concentrationPct}, #{temperatureC}, #{kind}, #{reading}, #{note}, #{foundBy},"
          + " #{foundAt})")
  @Changes(Topic.MATERIALS)
  void addFinding(FindingRow row);

  @Select(
      "select * from finding where fluid = #{fluid} and material = #{material} order by id desc")
  List<FindingRow> findings(@Param("fluid") String fluid, @Param("material") String material);

  /** Hardness and swell readings of parts in a material, of pumps that see a fluid. */
  @Select(
      "select r.id as rebuild, r.pump, r.sheet_id, r.sheet_revision, r.fitted_material as material,"
          + " m.subject as part, m.measure, m.reading, coalesce(e.text, '') as text, m.who,"
          + " m.taken_at as at from reading m join rebuild r on r.id = m.rebuild"
          + " left join bench_event e on e.rebuild = m.rebuild and e.at = m.taken_at"
          + " and e.subject = m.subject"
          + " where m.measure in ('"
          + Measures.HARDNESS_CHANGE
          + "', '"
          + Measures.SWELL
          + "') and r.fitted_material = #{material}"
          + " and exists (select 1 from exposure x where x.pump = r.pump and x.fluid = #{fluid})"
          + " order by m.taken_at desc")
  List<JudgedReadingRow> judged(@Param("fluid") String fluid, @Param("material") String material);
}
