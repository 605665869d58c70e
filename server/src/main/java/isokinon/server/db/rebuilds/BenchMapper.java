package isokinon.server.db.rebuilds;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Rebuilds and their events. Events are only ever added. */
public interface BenchMapper {

  @Select(
      "select id from final table (insert into rebuild"
          + " (pump, sheet_id, sheet_revision, opened_at, opened_by, reason, fitted_material,"
          + " hours_then, fitted_variants)"
          + " values (#{pump}, #{sheetId}, #{sheetRevision}, #{openedAt}, #{openedBy}, #{reason},"
          + " #{fittedMaterial}, #{hoursThen}, #{fittedVariants}))")
  @Changes(Topic.REBUILDS)
  long open(RebuildRow rebuild);

  @Select("select * from rebuild where id = #{id}")
  Optional<RebuildRow> rebuild(long id);

  /** Reads the rebuild and keeps others from appending to it until the transaction ends. */
  @Select("select * from rebuild where id = #{id} for update")
  Optional<RebuildRow> lock(long id);

  @Select("select * from rebuild where closed_at is null order by opened_at desc")
  List<RebuildRow> running();

  @Select(
      "select r.id, r.pump, r.closed_at is not null as closed,"
          + " coalesce((select max(e.seq) from bench_event e where e.rebuild = r.id), 0) as seq"
          + " from rebuild r where r.closed_at is null or r.closed_at >= #{since}"
          + " order by r.opened_at")
  List<LastEventRow> runningOrClosedSince(OffsetDateTime since);

  /** The open rebuild of a pump and the number of its last event. */
  @Select(
      "select r.id, r.pump, false as closed,"
          + " coalesce((select max(e.seq) from bench_event e where e.rebuild = r.id), 0) as seq"
          + " from rebuild r where r.pump = #{pump} and r.closed_at is null limit 1")
  Optional<LastEventRow> lastEventOn(String pump);

  @Select("select * from rebuild where pump = #{pump} and closed_at is null limit 1")
  Optional<RebuildRow> runningOn(String pump);

  @Select("select * from rebuild where pump = #{pump} order by opened_at desc")
  List<RebuildRow> of(String pump);

  @Update("update rebuild set closed_at = #{at} where id = #{id}")
  @Changes(Topic.REBUILDS)
  void close(@Param("id") long id, @Param("at") OffsetDateTime at);

  @Select("select * from bench_event where rebuild = #{rebuild} order by seq")
  List<EventRow> events(long rebuild);

  @Select("select * from bench_event where rebuild = #{rebuild} order by seq desc limit 1")
  Optional<EventRow> lastEvent(long rebuild);

  @Select("select * from bench_event where act_key = #{key}")
  Optional<EventRow> byKey(String key);

  @Insert(
      "insert into step_time (rebuild, sheet_id, step, building, minutes, recorded_at) "
          + "values "
          + "(#{rebuild}, #{sheetId}, #{step}, #{building}, #{minutes}, #{recordedAt})")
  @Changes(Topic.EVENTS)
  void addStepTime(StepTimeRow time);

  /** Medians over the rebuilds that were closed by {@code before}. */
  @Select(
      "select step, building, median(minutes) as minutes, cast(count(*) as int) as jobs"
          + " from step_time where sheet_id = #{sheetId} and recorded_at <= #{before}"
          + " group by step, building")
  List<StepMedianRow> stepMedians(
      @Param("sheetId") String sheetId, @Param("before") OffsetDateTime before);

  @Insert(
      "insert into bench_event (rebuild, seq, act_key, at, who, lead, kind, step, "
          + "subject, pass, fastener, reading, unit, text, items, device, digest) values "
          + "(#{rebuild}, #{seq}, #{actKey}, #{at}, #{who}, #{lead}, #{kind}, #{step}, "
          + "#{subject}, #{pass}, #{fastener}, #{reading}, #{unit}, #{text}, #{items}, #{device},"
          + " #{digest})")
  @Changes(Topic.EVENTS)
  void append(EventRow event);
}
