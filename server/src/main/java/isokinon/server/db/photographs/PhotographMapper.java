package isokinon.server.db.photographs;

import isokinon.core.photograph.PhotographOf;
import isokinon.server.db.Changes;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Photographs of jobs. */
@Mapper
public interface PhotographMapper {

  String COLUMNS =
      "id, rebuild, of_kind, subject, stage, taken_by, taken_at, width, height, bytes, marks,"
          + " act_key";

  /** Those of a job, in the order in which they were taken. */
  @Select("select " + COLUMNS + " from photograph where rebuild = #{rebuild} order by id")
  List<PhotographRow> of(long rebuild);

  @Select("select " + COLUMNS + " from photograph where id = #{id}")
  Optional<PhotographRow> photograph(long id);

  @Select("select " + COLUMNS + " from photograph where rebuild = #{rebuild} and act_key = #{key}")
  Optional<PhotographRow> withKey(@Param("rebuild") long rebuild, @Param("key") String key);

  /** Those of the same thing at the last job of the pump before this one that has any. */
  @Select(
      "select "
          + COLUMNS
          + " from photograph where of_kind = #{kind} and subject = #{subject} and rebuild ="
          + " (select max(p.rebuild) from photograph p join rebuild r on r.id = p.rebuild where"
          + " p.of_kind = #{kind} and p.subject = #{subject} and r.pump = #{pump} and r.id <"
          + " #{before}) order by id")
  List<PhotographRow> lastTime(
      @Param("pump") String pump,
      @Param("before") long before,
      @Param("kind") PhotographOf kind,
      @Param("subject") String subject);

  /** The picture of one, a JPEG as base64. */
  @Select("select picture from photograph where id = #{id}")
  Optional<String> picture(long id);

  @Insert(
      "insert into photograph (rebuild, of_kind, subject, stage, taken_by, taken_at, width, height,"
          + " bytes, marks, act_key, picture) values (#{row.rebuild}, #{row.ofKind},"
          + " #{row.subject}, #{row.stage}, #{row.takenBy}, #{row.takenAt}, #{row.width},"
          + " #{row.height}, #{row.bytes}, #{row.marks}, #{row.actKey}, #{picture})")
  @Changes({})
  void add(@Param("row") PhotographRow row, @Param("picture") String picture);

  @Update("update photograph set marks = #{marks} where id = #{id}")
  @Changes({})
  void mark(@Param("id") long id, @Param("marks") String marks);

  @Delete("delete from photograph where id = #{id}")
  @Changes({})
  void remove(long id);
}
