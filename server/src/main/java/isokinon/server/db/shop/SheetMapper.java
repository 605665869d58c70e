package isokinon.server.db.shop;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Sheets, every revision as it was written. */
public interface SheetMapper {

  @Select(
      "select * from sheet s where revision ="
          + " (select max(revision) from sheet where id = s.id) order by id")
  List<SheetRow> newest();

  @Select("select * from sheet where id = #{id} order by revision desc limit 1")
  Optional<SheetRow> newestOf(String id);

  @Select("select * from sheet where id = #{id} and revision = #{revision}")
  Optional<SheetRow> at(@Param("id") String id, @Param("revision") int revision);

  @Select("select * from sheet where id = #{id} order by revision desc")
  List<SheetRow> revisionsOf(String id);

  @Insert(
      "insert into sheet (id, revision, source, stored_at) values "
          + "(#{id}, #{revision}, #{source}, #{storedAt})")
  @Changes(Topic.SHEETS)
  void add(SheetRow sheet);
}
