package isokinon.server.db.rounds;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Select;

/** Rounds that were done. */
public interface RoundMapper {

  @Insert(
      "insert into round_done (pump, round, done_at, hours, who, note, request_key) values "
          + "(#{pump}, #{round}, #{doneAt}, #{hours}, #{who}, #{note}, #{requestKey})")
  @Changes(Topic.FINDINGS)
  void add(RoundDoneRow row);

  @Select("select count(*) from round_done where request_key = #{key}")
  int withKey(String key);

  /** The last time each round was done, of every pump. */
  @Select(
      "select pump, round, done_at, hours, who, note, request_key from round_done where id in"
          + " (select max(id) from round_done group by pump, round)")
  List<RoundDoneRow> last();
}
