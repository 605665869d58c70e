package isokinon.server.db.stores;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Lots of consumables, what changes them, and what a pack costs. */
public interface ConsumableMapper {

  @Select("select * from consumable_lot order by consumable, best_before, id")
  List<ConsumableLotRow> lots();

  /** Reads a lot and keeps others from changing it until the transaction ends. */
  @Select("select * from consumable_lot where id = #{id} for update")
  Optional<ConsumableLotRow> lock(String id);

  @Insert(
      "insert into consumable_lot (id, consumable, best_before, amount, price, place) values"
          + " (#{id}, #{consumable}, #{bestBefore}, #{amount}, #{price}, #{place})")
  @Changes(Topic.SHELF)
  void add(ConsumableLotRow lot);

  @Update("update consumable_lot set amount = #{amount} where id = #{id}")
  @Changes(Topic.SHELF)
  void amount(@Param("id") String id, @Param("amount") double amount);

  @Insert(
      "insert into consumable_movement (lot, change, kind, rebuild, who, at, note) values"
          + " (#{lot}, #{change}, #{kind}, #{rebuild}, #{who}, #{at}, #{note})")
  @Changes(Topic.SHELF)
  void move(ConsumableMovementRow row);

  /** What a rebuild used, in the order it was booked. */
  @Select(
      "select lot, change, kind, rebuild, who, at, note from consumable_movement"
          + " where rebuild = #{rebuild} order by id")
  List<ConsumableMovementRow> usedBy(long rebuild);

  @Select("select * from consumable_offer order by consumable")
  List<ConsumableOfferRow> offers();

  @Insert(
      "insert into consumable_offer (consumable, price, lead_days) values"
          + " (#{consumable}, #{price}, #{leadDays})")
  @Changes(Topic.CATALOGUE)
  void addOffer(ConsumableOfferRow offer);
}
