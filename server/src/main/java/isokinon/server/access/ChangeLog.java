package isokinon.server.access;

import isokinon.server.db.access.AccessMapper;
import isokinon.server.db.access.ChangeRow;
import java.time.Clock;
import java.time.OffsetDateTime;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;

/** Who changed what, when and on which device. */
@Service
public class ChangeLog {

  private static final Logger LOG = LoggerFactory.getLogger(ChangeLog.class);
  private static final int LONGEST = 200;

  private final AccessMapper store;
  private final Clock clock;

  ChangeLog(AccessMapper store, Clock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * Writes down a change that is made; where that cannot be done, the change stands all the same.
   */
  public void made(SignedIn who, String operation, String subject) {
    try {
      store.add(
          new ChangeRow(
              OffsetDateTime.now(clock),
              who.initials(),
              who.device(),
              operation,
              subject.substring(0, Math.min(subject.length(), LONGEST))));
    } catch (DataAccessException e) {
      LOG.warn("{} of {} by {} is not written down", operation, subject, who.initials(), e);
    }
  }
}
