package isokinon.server.db.stores;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What moves on the shelf: lots in and out, pieces held, parts kept. */
public interface ShelfMapper {

  @Select("select * from lot order by sheet_id, kit, material, cured")
  List<LotRow> all();

  @Select("select * from lot where id = #{id} for update")
  Optional<LotRow> lock(String id);

  /** Changes a count; nothing is changed where it would fall under none. */
  @Update(
      "update lot set quantity = quantity + #{change} where id = #{id}"
          + " and quantity + #{change} >= 0")
  @Changes(Topic.SHELF)
  int change(@Param("id") String id, @Param("change") int change);

  @Insert(
      "insert into movement (lot, change, kind, rebuild, who, at, note) values (#{lot}, #{change},"
          + " #{kind}, #{rebuild}, #{who}, #{at}, #{note})")
  @Changes(Topic.SHELF)
  void move(MovementRow row);

  /** Pieces of a lot that went to a rebuild and did not come back. */
  @Select(
      "select coalesce(-sum(change), 0) from movement where lot = #{lot} and rebuild = #{rebuild}"
          + " and kind in ('issued', 'returned')")
  int out(@Param("lot") String lot, @Param("rebuild") long rebuild);

  /** Pieces that are out: to jobs in hand, and those a job neither used nor brought back. */
  @Select(
      "select lot, sum(change) as change, 'issued' as kind, rebuild, max(who) as who, max(at) as at,"
          + " '' as note from movement m where kind in ('issued', 'returned') and (rebuild in"
          + " (select id from rebuild where closed_at is null) or not exists (select 1 from"
          + " movement b where b.lot = m.lot and b.rebuild = m.rebuild and b.kind = 'booked'))"
          + " group by lot, rebuild having sum(change) < 0")
  List<MovementRow> outNow();

  @Select(
      "select lot from movement where rebuild = #{rebuild} and kind in ('issued', 'returned')"
          + " group by lot having sum(change) < 0 order by lot")
  List<String> outTo(long rebuild);

  /** Pieces of a lot that are held for other pumps than this. */
  @Select(
      "select count(*) from reservation where lot = #{lot} and pump <> #{pump}"
          + " and released_at is null")
  int heldForOthers(@Param("lot") String lot, @Param("pump") String pump);

  @Select("select id, lot, pump, who, at from reservation where released_at is null order by id")
  List<ReservationRow> reservations();

  @Insert("insert into reservation (lot, pump, who, at) values (#{lot}, #{pump}, #{who}, #{at})")
  @Changes(Topic.SHELF)
  void reserve(ReservationRow row);

  @Update("update reservation set released_at = #{at} where id = #{id} and released_at is null")
  @Changes(Topic.SHELF)
  int release(@Param("id") long id, @Param("at") OffsetDateTime at);

  /** A job took from the lot: what was held for its pump is no longer. */
  @Update(
      "update reservation set released_at = #{at} where released_at is null and id = (select min(id)"
          + " from reservation where lot = #{lot} and pump = #{pump} and released_at is null)")
  @Changes(Topic.SHELF)
  int used(@Param("lot") String lot, @Param("pump") String pump, @Param("at") OffsetDateTime at);

  @Select("select * from kept_part where gone_at is null order by sheet_id, name, hours")
  List<KeptPartRow> kept();

  @Select("select * from kept_part where id = #{id}")
  Optional<KeptPartRow> keptPart(String id);

  @Select("select count(*) from kept_part")
  int keptEver();

  @Insert(
      "insert into kept_part (id, serial, sheet_id, role, name, material, hours, "
          + "counts, condition, note, from_pump, place, kept_by, kept_at, gone_to, gone_at) "
          + "values "
          + "(#{id}, #{serial}, #{sheetId}, #{role}, #{name}, #{material}, #{hours}, "
          + "#{counts}, #{condition}, #{note}, #{fromPump}, #{place}, #{keptBy}, #{keptAt}, "
          + "null, null)")
  @Changes(Topic.SHELF)
  void keep(KeptPartRow row);

  @Update(
      "update kept_part set gone_to = #{to}, gone_at = #{at} where id = #{id} and gone_at is null")
  @Changes(Topic.SHELF)
  int gone(@Param("id") String id, @Param("to") String to, @Param("at") OffsetDateTime at);
}
