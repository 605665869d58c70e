package isokinon.server.db.stores;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import isokinon.server.db.shop.PersonRow;
import isokinon.server.db.shop.WrenchRow;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Lots on the shelf, torque wrenches in the crib, people of the shop. */
public interface StoresMapper {

  /** Lots of a sheet; what is out to the open job of a pump counts as at hand for it. */
  @Select(
      "select id, sheet_id, kit, title, material, cured, quantity - coalesce((select sum(m.change)"
          + " from movement m join rebuild r on r.id = m.rebuild where m.lot = lot.id and m.kind in"
          + " ('issued', 'returned') and r.pump = #{pump} and r.closed_at is null), 0) as quantity,"
          + " price, place, hardware from lot where sheet_id = #{sheetId} order by kit, cured desc")
  List<LotRow> lots(@Param("sheetId") String sheetId, @Param("pump") String pump);

  @Select("select * from lot where id = #{id}")
  Optional<LotRow> lot(String id);

  @Insert(
      "insert into lot (id, sheet_id, kit, title, material, cured, quantity, price, "
          + "place, hardware) values "
          + "(#{id}, #{sheetId}, #{kit}, #{title}, #{material}, #{cured}, #{quantity}, "
          + "#{price}, #{place}, #{hardware})")
  @Changes(Topic.SHELF)
  void addLot(LotRow lot);

  @Select("select * from offer where sheet_id = #{sheetId} order by id")
  List<OfferRow> offers(String sheetId);

  @Insert(
      "insert into offer (sheet_id, id, price, lead_days, order_number) values "
          + "(#{sheetId}, #{id}, #{price}, #{leadDays}, #{orderNumber})")
  @Changes(Topic.CATALOGUE)
  void addOffer(OfferRow offer);

  @Select(
      "select id, min_nm, max_nm, calibrated_until, clicks from wrench where retired_at is null"
          + " order by max_nm")
  List<WrenchRow> wrenches();

  @Insert(
      "insert into wrench (id, min_nm, max_nm, calibrated_until, clicks) values "
          + "(#{id}, #{minNm}, #{maxNm}, #{calibratedUntil}, #{clicks})")
  @Changes(Topic.SHOP)
  void addWrench(WrenchRow wrench);

  @Select("select * from person order by retired_at is not null, role desc, initials")
  List<PersonRow> people();

  @Select("select * from person where initials = #{initials}")
  Optional<PersonRow> person(String initials);

  @Insert(
      "insert into person (initials, role, licensed_electrical) values "
          + "(#{initials}, #{role}, #{licensedElectrical})")
  @Changes(Topic.SHOP)
  void addPerson(PersonRow person);

  @Delete("delete from person where initials = #{initials}")
  @Changes(Topic.SHOP)
  void removePerson(String initials);

  @Update(
      "update person set role = #{role}, licensed_electrical = #{licensedElectrical}, retired_at ="
          + " #{retiredAt} where initials = #{initials}")
  @Changes(Topic.SHOP)
  void changePerson(PersonRow person);
}
