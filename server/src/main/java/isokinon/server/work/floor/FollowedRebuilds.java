package isokinon.server.work.floor;

import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.Wait;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.rebuilds.LastEventRow;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.CachedByKey;
import isokinon.server.work.shared.RequestProblem;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * What the floor says of rebuilds; each is replayed again only once something was recorded in it.
 */
@Component
class FollowedRebuilds {

  private static final Logger LOG = LoggerFactory.getLogger(FollowedRebuilds.class);

  /** What is said of a rebuild that cannot be followed: one such does not take the floor down. */
  private static final Followed LOST = new Followed("its sheet is missing", List.of(), Map.of());

  /**
   * A rebuild as it stood after an event.
   *
   * @param stage where it stands, in words
   * @param titles of what its waits are about
   */
  record Followed(String stage, List<Wait> waits, Map<String, String> titles) {}

  private record After(long rebuild, long seq) {}

  private final Jobs jobs;
  private final CachedByKey<After, Followed> known;

  FollowedRebuilds(Jobs jobs, DataVersions versions) {
    this.jobs = jobs;
    this.known = new CachedByKey<>(versions, EnumSet.of(Topic.REBUILDS, Topic.SHEETS));
  }

  /** A rebuild after its last event. */
  Followed of(LastEventRow row) {
    return known.get(new After(row.id(), row.seq()), this::read);
  }

  private Followed read(After event) {
    try {
      Rebuild rebuild = jobs.job(event.rebuild()).rebuild();
      List<Wait> waits = rebuild.waits();
      return new Followed(
          rebuild.stage().title(),
          waits,
          waits.stream()
              .map(Wait::subject)
              .distinct()
              .collect(Collectors.toMap(s -> s, s -> rebuild.sheet().testOrStep(s))));
    } catch (RequestProblem e) {
      LOG.warn("Rebuild {} cannot be followed: {}", event.rebuild(), e.getMessage());
      return LOST;
    }
  }
}
