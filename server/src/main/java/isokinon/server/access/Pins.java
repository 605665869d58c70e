package isokinon.server.access;

import isokinon.core.person.PersonRole;
import isokinon.server.access.SignInRefused.Why;
import isokinon.server.db.access.AccessMapper;
import isokinon.server.db.access.CredentialRow;
import isokinon.server.db.shop.PersonRow;
import isokinon.server.db.stores.StoresMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * PINs, pass phrases and badges. They are kept as Argon2id digests (a badge as SHA-256: its code is
 * long). Three in a row may be wrong; then each further one waits longer, and at last a lead sets a
 * new one. A lead waits the longest wait each time: somebody has to be able to open the shop.
 */
@Service
public class Pins {

  private static final int FREE = 3;
  private static final List<Duration> WAITS =
      List.of(Duration.ofSeconds(20), Duration.ofMinutes(1), Duration.ofMinutes(5));

  /**
   * For PINs that stand on a page: whoever wants to know them reads them there, so their digests
   * cost nothing to make.
   */
  private static final PasswordEncoder OF_SHOWN = new Argon2PasswordEncoder(16, 32, 1, 64, 1);

  private final AccessMapper store;
  private final StoresMapper people;
  private final ShownPins shown;
  private final Clock clock;
  private final PasswordEncoder digests = Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();

  Pins(AccessMapper store, StoresMapper people, ShownPins shown, Clock clock) {
    this.store = store;
    this.people = people;
    this.shown = shown;
    this.clock = clock;
  }

  /**
   * What a try came to: nothing is refused, or this is. Told, not thrown, so that it is counted.
   */
  public record Tried(SignedIn person, SignInRefused refused) {

    /**
     * Whose PIN it is.
     *
     * @throws SignInRefused where it opens nothing now
     */
    @Override
    public SignedIn person() {
      if (refused != null) {
        throw refused;
      }
      return person;
    }
  }

  private static Tried opens(PersonRow p, CredentialRow c) {
    return new Tried(
        new SignedIn(p.initials(), p.role(), p.licensedElectrical(), "", c.setByLead()), null);
  }

  private static Tried refused(Why why, String field, String sentence) {
    return refused(why, field, sentence, 0, Duration.ZERO);
  }

  private static Tried refused(
      Why why, String field, String sentence, int triesLeft, Duration wait) {
    return new Tried(null, new SignInRefused(why, field, sentence, triesLeft, wait));
  }

  /** Tries the PIN or pass phrase of a person, and counts it. */
  @Transactional
  public Tried tries(String initials, String pin) {
    Optional<PersonRow> person = people.person(initials).filter(PersonRow::worksHere);
    if (person.isEmpty()) {
      return refused(Why.UNKNOWN, "initials", "Nobody here has the initials " + initials + ".");
    }
    Optional<CredentialRow> kept = store.lock(initials).filter(c -> !c.pin().isEmpty());
    if (kept.isEmpty()) {
      return refused(Why.NONE_SET, "pin", initials + " has no PIN yet: a lead sets one.");
    }
    CredentialRow c = kept.get();
    boolean leads = person.get().role() == PersonRole.LEAD;
    OffsetDateTime now = OffsetDateTime.now(clock);
    if (!leads && c.failures() >= FREE + WAITS.size()) {
      return askALead(initials);
    }
    if (c.closedUntil() != null && now.isBefore(c.closedUntil())) {
      Duration left = Duration.between(now, c.closedUntil());
      return refused(
          Why.WAIT,
          "pin",
          "Too many were wrong: the next is tried in " + seconds(left) + ".",
          0,
          left);
    }
    if (pin != null && digests.matches(pin, c.pin())) {
      if (c.failures() > 0) {
        store.tried(initials, 0, null);
      }
      return opens(person.get(), c);
    }
    return wrong(initials, c.failures() + 1, leads, now);
  }

  private Tried wrong(String initials, int failures, boolean leads, OffsetDateTime now) {
    String sentence = "That was not " + initials + "’s PIN.";
    if (failures < FREE) {
      store.tried(initials, failures, null);
      return refused(Why.WRONG, "pin", sentence, FREE - failures, Duration.ZERO);
    }
    if (!leads && failures >= FREE + WAITS.size()) {
      store.tried(initials, failures, null);
      return askALead(initials);
    }
    Duration wait = WAITS.get(Math.min(failures - FREE, WAITS.size() - 1));
    store.tried(initials, Math.min(failures, FREE + WAITS.size() - 1), now.plus(wait));
    return refused(
        Why.WAIT, "pin", sentence + " The next is tried in " + seconds(wait) + ".", 0, wait);
  }

  private static Tried askALead(String initials) {
    return refused(
        Why.ASK_A_LEAD,
        "pin",
        "Too many were wrong in a row: a lead sets a new PIN for " + initials + ".");
  }

  private static String seconds(Duration wait) {
    long s = Math.max(1, wait.plusMillis(999).toSeconds());
    return s < 60 ? s + " s" : s / 60 + " min" + (s % 60 == 0 ? "" : " " + s % 60 + " s");
  }

  /** Whose badge it is. */
  @Transactional
  public Tried badge(String code) {
    String digest = DigestUtils.sha256Hex(code);
    return store
        .byBadge(digest)
        .flatMap(
            c -> people.person(c.initials()).filter(PersonRow::worksHere).map(p -> opens(p, c)))
        .orElseGet(() -> refused(Why.WRONG, "badge", "Nobody here has this badge."));
  }

  /**
   * Sets a PIN or pass phrase; who waited need not wait any longer.
   *
   * @param byLead whether another set it, so that its owner chooses one at once
   */
  @Transactional
  public void set(String initials, String pin, boolean byLead) {
    shown.hide(initials);
    put(initials, digests.encode(pin), byLead);
  }

  /** Sets a PIN of a made-up shop, which the sign-in page shows. */
  @Transactional
  public void setShown(String initials, String pin) {
    put(initials, OF_SHOWN.encode(pin), false);
    shown.show(initials, pin);
  }

  private void put(String initials, String digest, boolean byLead) {
    String badge = store.credential(initials).map(CredentialRow::badge).orElse(null);
    store.put(
        new CredentialRow(initials, digest, badge, byLead, 0, null, OffsetDateTime.now(clock)));
  }

  /** Sets the code of a badge; an empty one takes it away. */
  @Transactional
  public void setBadge(String initials, String code) {
    Optional<CredentialRow> before = store.lock(initials);
    store.put(
        new CredentialRow(
            initials,
            before.map(CredentialRow::pin).orElse(""),
            code.isEmpty() ? null : DigestUtils.sha256Hex(code),
            before.map(CredentialRow::setByLead).orElse(false),
            before.map(CredentialRow::failures).orElse(0),
            before.map(CredentialRow::closedUntil).orElse(null),
            OffsetDateTime.now(clock)));
  }

  /** Whether this is the PIN of a person; it is not counted. For who made the PIN. */
  public boolean is(String initials, String pin) {
    return store.credential(initials).filter(c -> digests.matches(pin, c.pin())).isPresent();
  }

  /** Everybody who can sign in with a PIN, by initials. */
  public Set<String> whoHaveOne() {
    return store.withPin();
  }

  /** Whether the PIN of a person was set by a lead and is still to be replaced. */
  boolean ownPinDue(String initials) {
    return store.credential(initials).map(CredentialRow::setByLead).orElse(false);
  }

  /** Whether some lead can sign in. */
  public boolean someLeadHasOne() {
    return store.leadsWithPin() > 0;
  }
}
