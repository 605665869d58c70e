package isokinon.server.access;

import isokinon.core.person.PersonRole;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.access.AccessMapper;
import isokinon.server.db.access.SignedInRow;
import isokinon.server.db.shop.PersonRow;
import isokinon.server.db.stores.StoresMapper;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Base64;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.codec.digest.DigestUtils;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who is signed in on which device. A device holds a random word, the database its digest, so that
 * a server that is started again knows everybody still and a copy of the database opens nothing.
 * That a device was seen is written once a minute at most: reading needs no write, and goes on
 * where the disk is full.
 */
@Service
public class Sessions {

  private static final Logger LOG = LoggerFactory.getLogger(Sessions.class);
  private static final int TOKEN_BYTES = 32;
  private static final Duration WRITTEN_EVERY = Duration.ofMinutes(1);

  /** A device that locks itself tells so; this long after, one that did not is locked as well. */
  private static final Duration GRACE = Duration.ofMinutes(2);

  /** Longest shift. */
  private static final Duration LONGEST = Duration.ofHours(14);

  /** What a wall display may take. */
  private static final Duration LONGEST_DISPLAY = Duration.ofDays(400);

  private static final EnumSet<Topic> SHOP = EnumSet.of(Topic.SHOP);

  private final AccessMapper store;
  private final StoresMapper people;
  private final Pins pins;
  private final DataVersions versions;
  private final Clock clock;
  private final Duration lockAfter;
  private final SecureRandom random = new SecureRandom();
  private final Map<String, Known> known = new HashMap<>();
  private long knownAt = -1;

  Sessions(
      AccessMapper store,
      StoresMapper people,
      Pins pins,
      DataVersions versions,
      Clock clock,
      @Value("${isokinon.lock-after:10m}") Duration lockAfter) {
    this.store = store;
    this.people = people;
    this.pins = pins;
    this.versions = versions;
    this.clock = clock;
    this.lockAfter = lockAfter;
  }

  private record Known(
      SignedIn who, OffsetDateTime began, OffsetDateTime seen, OffsetDateTime written) {}

  /** How long a device that nobody touches stays open. */
  public Duration lockAfter() {
    return lockAfter;
  }

  /**
   * Signs somebody in on a device.
   *
   * @return what the device holds from now on
   */
  @Transactional
  public String begin(String initials, String device) {
    byte[] bytes = new byte[TOKEN_BYTES];
    random.nextBytes(bytes);
    String word = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    OffsetDateTime now = OffsetDateTime.now(clock);
    store.begin(new SignedInRow(DigestUtils.sha256Hex(word), initials, device, now, now));
    return word;
  }

  /** Locks a device: what it holds opens nothing any more. */
  @Transactional
  public void end(String word) {
    store.end(DigestUtils.sha256Hex(word));
  }

  /** Locks every device of a person. */
  @Transactional
  public void endAllOf(String initials) {
    store.endAllOf(initials);
  }

  /** Who is signed in on the device that holds this word. */
  public Optional<SignedIn> of(String word) {
    String token = DigestUtils.sha256Hex(word);
    OffsetDateTime now = OffsetDateTime.now(clock);
    Optional<Known> found = remembered(token).or(() -> read(token));
    if (found.isEmpty() || over(found.get(), now)) {
      return Optional.empty();
    }
    Known k = found.get();
    boolean write = Duration.between(k.written(), now).compareTo(WRITTEN_EVERY) >= 0;
    if (write) {
      seen(token, now);
    }
    remember(token, new Known(k.who(), k.began(), now, write ? now : k.written()));
    return Optional.of(k.who());
  }

  private boolean over(Known k, OffsetDateTime now) {
    if (k.who().role() == PersonRole.DISPLAY) {
      return now.isAfter(k.began().plus(LONGEST_DISPLAY));
    }
    return now.isAfter(k.began().plus(LONGEST))
        || now.isAfter(k.seen().plus(lockAfter).plus(GRACE));
  }

  private synchronized Optional<Known> remembered(String token) {
    long version = versions.of(SHOP);
    if (version != knownAt) {
      known.clear();
      knownAt = version;
    }
    return Optional.ofNullable(known.get(token));
  }

  private synchronized void remember(String token, Known k) {
    known.put(token, k);
  }

  private Optional<Known> read(String token) {
    return store
        .signedIn(token)
        .flatMap(
            s ->
                people
                    .person(s.initials())
                    .filter(PersonRow::worksHere)
                    .map(
                        p ->
                            new Known(
                                new SignedIn(
                                    p.initials(),
                                    p.role(),
                                    p.licensedElectrical(),
                                    s.device(),
                                    pins.ownPinDue(p.initials())),
                                s.beganAt(),
                                s.seenAt(),
                                s.seenAt())));
  }

  private void seen(String token, OffsetDateTime now) {
    try {
      store.seen(token, now);
    } catch (DataAccessException e) {
      LOG.debug("not written that a device was seen", e);
    }
  }

  /** Where each person was last, the latest of each. */
  public List<SignedInRow> lastSeen() {
    return store.lastSeen();
  }

  /** Forgets devices that were not seen for a long time. */
  @Scheduled(cron = "0 40 3 * * *")
  void forgetSilent() {
    store.endSilent(OffsetDateTime.now(clock).minus(LONGEST_DISPLAY));
  }
}
