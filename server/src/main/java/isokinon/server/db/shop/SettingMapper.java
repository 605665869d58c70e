package isokinon.server.db.shop;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Settings of the shop by name: a number or a text each. */
public interface SettingMapper {

  @Select("select number from setting where name = #{name}")
  Optional<Double> number(String name);

  @Select("select text from setting where name = #{name}")
  Optional<String> text(String name);

  @Update(
      "merge into setting (name, number, changed_by, changed_at) key (name) values (#{name},"
          + " #{number}, #{who}, #{at})")
  @Changes(Topic.SHOP)
  void setNumber(
      @Param("name") String name,
      @Param("number") double number,
      @Param("who") String who,
      @Param("at") OffsetDateTime at);

  @Update(
      "merge into setting (name, text, changed_by, changed_at) key (name) values (#{name},"
          + " #{text}, #{who}, #{at})")
  @Changes(Topic.SHOP)
  void setText(
      @Param("name") String name,
      @Param("text") String text,
      @Param("who") String who,
      @Param("at") OffsetDateTime at);
}
