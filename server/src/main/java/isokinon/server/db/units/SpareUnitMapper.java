package isokinon.server.db.units;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Units on the shelf, with what is in them. */
@Mapper
public interface SpareUnitMapper {

  String COLUMNS =
      "serial, sheet_id, series, body_material, variants, hardware, rotor_class_mm, parts, place,"
          + " note, came_from, since, look_in_hours, look_because, retired_at";

  String PARTS =
      "select unit, role, place, part_serial, material, hours, counts, leading from spare_unit_part";

  /** Every one of them, those that are retired among them. */
  @Select("select " + COLUMNS + " from spare_unit order by serial")
  List<SpareUnitRow> all();

  /** Those of a construction that can go into a position. */
  @Select(
      "select "
          + COLUMNS
          + " from spare_unit where sheet_id = #{sheet} and retired_at is null order by serial")
  List<SpareUnitRow> of(String sheet);

  @Select("select " + COLUMNS + " from spare_unit where serial = #{serial}")
  Optional<SpareUnitRow> unit(String serial);

  /** The same; nobody else puts it in until the transaction ends. */
  @Select("select " + COLUMNS + " from spare_unit where serial = #{serial} for update")
  Optional<SpareUnitRow> lock(String serial);

  @Select(PARTS + " where unit = #{serial} order by leading desc, role, place")
  List<SpareUnitPartRow> parts(String serial);

  @Select(PARTS + " order by unit, leading desc, role, place")
  List<SpareUnitPartRow> allParts();

  @Insert(
      "insert into spare_unit ("
          + COLUMNS
          + ") values (#{serial}, #{sheetId}, #{series}, #{bodyMaterial}, #{variants},"
          + " #{hardware}, #{rotorClassMm}, #{parts}, #{place}, #{note}, #{cameFrom}, #{since},"
          + " #{lookInHours}, #{lookBecause}, #{retiredAt})")
  @Changes(Topic.SHELF)
  void add(SpareUnitRow unit);

  @Insert(
      "insert into spare_unit_part (unit, role, place, part_serial, material, hours, counts,"
          + " leading) values (#{unit}, #{role}, #{place}, #{partSerial}, #{material}, #{hours},"
          + " #{counts}, #{leading})")
  @Changes(Topic.SHELF)
  void addPart(SpareUnitPartRow part);

  /** Takes a unit off the shelf, with what is in it. */
  default void remove(String serial) {
    removeParts(serial);
    removeUnit(serial);
  }

  @Delete("delete from spare_unit_part where unit = #{serial}")
  @Changes(Topic.SHELF)
  void removeParts(String serial);

  @Delete("delete from spare_unit where serial = #{serial}")
  @Changes(Topic.SHELF)
  void removeUnit(String serial);
}
