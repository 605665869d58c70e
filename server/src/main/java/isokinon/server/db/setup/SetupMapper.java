package isokinon.server.db.setup;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/**
 * Rows of the set-up whatever their table, and their changes. Names of tables and columns come from
 * the declarations of the set-up, never from a request; values are parameters.
 */
public interface SetupMapper {

  /** The rows of a table, columns by their names in small letters; a null is left out. */
  default List<Map<String, Object>> rows(String columns, String from) {
    return found(columns, from).stream()
        .map(
            row -> {
              Map<String, Object> small = new LinkedHashMap<>();
              row.forEach((name, value) -> small.put(name.toLowerCase(Locale.ROOT), value));
              return small;
            })
        .toList();
  }

  /** The same, columns as the database writes their names. */
  @Select("select ${columns} from ${from}")
  List<Map<String, Object>> found(@Param("columns") String columns, @Param("from") String from);

  /** How many rows of a table there are. */
  @Select("select count(*) from ${from}")
  int count(String from);

  /** Adds a row, or changes the one with this key. */
  @Update({
    "<script>merge into ${table} (<foreach collection='names' item='n' separator=','>${n}</foreach>)"
        + " key (<foreach collection='key' item='k' separator=','>${k}</foreach>) values"
        + " (<foreach collection='values' item='v'"
        + " separator=','>#{v,jdbcType=VARCHAR}</foreach>)</script>"
  })
  @Changes({
    Topic.PUMPS,
    Topic.PLANS,
    Topic.COUNTERS,
    Topic.DUTIES,
    Topic.FITTED,
    Topic.CATALOGUE,
    Topic.SHELF,
    Topic.DIARY,
    Topic.SHOP
  })
  int put(
      @Param("table") String table,
      @Param("key") List<String> key,
      @Param("names") List<String> names,
      @Param("values") List<String> values);

  /** Takes a row out; its key, name by name. */
  @Delete({
    "<script>delete from ${table} where <foreach collection='key' index='k' item='v' separator=' and"
        + " '>${k} = #{v}</foreach></script>"
  })
  @Changes({
    Topic.PUMPS,
    Topic.PLANS,
    Topic.COUNTERS,
    Topic.DUTIES,
    Topic.FITTED,
    Topic.CATALOGUE,
    Topic.SHELF,
    Topic.DIARY,
    Topic.SHOP
  })
  int remove(@Param("table") String table, @Param("key") Map<String, String> key);

  /** Retires what has this key, or takes it back where {@code at} is null. */
  @Update("update ${table} set retired_at = #{at} where ${name} = #{key}")
  @Changes({Topic.PUMPS, Topic.PLANS, Topic.COUNTERS, Topic.FITTED, Topic.DIARY, Topic.SHOP})
  int retire(
      @Param("table") String table,
      @Param("name") String name,
      @Param("key") String key,
      @Param("at") OffsetDateTime at);

  @Insert(
      "insert into setup_change (batch, made_at, who, device, table_name, row_key, stood, stands)"
          + " values (#{batch}, #{madeAt}, #{who}, #{device}, #{tableName}, #{rowKey}, #{stood},"
          + " #{stands})")
  @Changes({})
  void addChange(SetupChangeRow row);

  /** The last change that was not taken back. */
  @Select(
      "select id, batch, made_at, who, device, table_name, row_key, stood, stands, undone from"
          + " setup_change where not undone order by id desc limit 1")
  Optional<SetupChangeRow> last();

  /** How many rows were changed at once. */
  @Select("select count(*) from setup_change where batch = #{batch}")
  int size(String batch);

  /** Of how many tables those rows are. */
  @Select("select count(distinct table_name) from setup_change where batch = #{batch}")
  int tables(String batch);

  /** What was done at once, the last of it first. */
  @Select(
      "select id, batch, made_at, who, device, table_name, row_key, stood, stands, undone from"
          + " setup_change where batch = #{batch} order by id desc")
  List<SetupChangeRow> batch(String batch);

  @Update("update setup_change set undone = true where batch = #{batch}")
  @Changes({})
  void undone(String batch);

  /** How many records there are of what a pump did, or of what is planned for it. */
  @Select(
      "select (select count(*) from run where pump = #{tag}) + (select count(*) from rebuild where"
          + " pump = #{tag}) + (select count(*) from reading where pump = #{tag}) + (select count(*)"
          + " from counter_reading where pump = #{tag}) + (select count(*) from round_done where pump"
          + " = #{tag}) + (select count(*) from finding where pump = #{tag}) + (select count(*) from"
          + " cause_found where pump = #{tag}) + (select count(*) from fault_found where pump ="
          + " #{tag}) + (select count(*) from next_look where pump = #{tag}) + (select count(*) from"
          + " policy where pump = #{tag}) + (select count(*) from reservation where pump = #{tag}) +"
          + " (select count(*) from kept_part where from_pump = #{tag}) + (select count(*) from"
          + " diary_entry where pump = #{tag})")
  int historyOf(String tag);
}
