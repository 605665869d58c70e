package isokinon.server.access;

import isokinon.core.person.PersonRole;
import isokinon.server.db.access.SignedInRow;
import isokinon.server.db.shop.PersonRow;
import isokinon.server.db.stores.StoresMapper;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the shop, known by initials, and what a lead says of them. */
@Service
public class People {

  /** Something about a person that cannot be so. */
  public static final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String field;

    Refused(String field, String sentence) {
      super(sentence);
      this.field = field;
    }

    /** The field of the question that it stands at. */
    public String field() {
      return field;
    }
  }

  private static final Pattern INITIALS = Pattern.compile("[\\p{Lu}0-9]{2,4}");

  private final StoresMapper store;
  private final Pins pins;
  private final Sessions sessions;
  private final Clock clock;

  People(StoresMapper store, Pins pins, Sessions sessions, Clock clock) {
    this.store = store;
    this.pins = pins;
    this.sessions = sessions;
    this.clock = clock;
  }

  /**
   * A person and what they may do.
   *
   * @param retired whether the person has left and signs in no more
   * @param hasPin whether the person can sign in with a PIN or pass phrase
   * @param lastAt when a device was last seen with this person; absent where none was
   * @param lastDevice that device; empty where none was
   */
  public record Person(
      String initials,
      PersonRole role,
      boolean licensedElectrical,
      boolean retired,
      boolean hasPin,
      String lastDevice,
      Optional<String> lastAt) {}

  /** Everyone who works here, leads last; those who have left at the end. */
  public List<Person> all() {
    Map<String, SignedInRow> last =
        sessions.lastSeen().stream()
            .collect(Collectors.toMap(SignedInRow::initials, Function.identity()));
    Set<String> withPin = pins.whoHaveOne();
    return store.people().stream()
        .map(
            p -> {
              Optional<SignedInRow> seen = Optional.ofNullable(last.get(p.initials()));
              return new Person(
                  p.initials(),
                  p.role(),
                  p.licensedElectrical(),
                  !p.worksHere(),
                  withPin.contains(p.initials()),
                  seen.map(SignedInRow::device).orElse(""),
                  seen.map(s -> s.seenAt().toString()));
            })
        .toList();
  }

  /**
   * Adds a person, with a PIN that is to be replaced at the first use.
   *
   * @throws Refused where the initials are taken or the PIN may not be chosen
   */
  @Transactional
  public void add(String initials, PersonRole role, boolean licensed, String pin) {
    requireInitials(initials);
    if (store.person(initials).isPresent()) {
      throw new Refused("initials", initials + " is here already, or was.");
    }
    requireSound(pin);
    store.addPerson(new PersonRow(initials, role, licensed, null));
    pins.set(initials, pin, true);
  }

  /**
   * Writes down what somebody does. Who is new signs in once a lead has given them a PIN; who has
   * left stays so.
   */
  @Transactional
  public void enter(String initials, PersonRole role, boolean licensed) {
    Optional<PersonRow> there = store.person(initials);
    if (there.isPresent()) {
      change(initials, role, licensed, !there.get().worksHere());
    } else {
      requireInitials(initials);
      store.addPerson(new PersonRow(initials, role, licensed, null));
    }
  }

  /** Takes somebody out. Who can sign in stands on records, and is retired instead. */
  @Transactional
  public void takeOut(String initials) {
    PersonRow person = find(initials);
    if (pins.whoHaveOne().contains(initials)) {
      change(initials, person.role(), person.licensedElectrical(), true);
    } else {
      store.removePerson(initials);
    }
  }

  /**
   * The first lead, who is there or comes new, with a PIN of their own.
   *
   * @throws Refused where some lead can sign in already
   */
  @Transactional
  public void firstLead(String initials, String pin) {
    if (pins.someLeadHasOne()) {
      throw new Refused("initials", "There is a lead already, who sets people up.");
    }
    requireInitials(initials);
    requireSound(pin);
    Optional<PersonRow> known = store.person(initials);
    if (known.isEmpty()) {
      store.addPerson(new PersonRow(initials, PersonRole.LEAD, false, null));
    } else {
      store.changePerson(
          new PersonRow(initials, PersonRole.LEAD, known.get().licensedElectrical(), null));
    }
    pins.set(initials, pin, false);
  }

  /**
   * Changes what a person does, from now on and on every device. Who is retired stays on every
   * record and signs in no more.
   *
   * @throws Refused where the shop would be left without a lead
   */
  @Transactional
  public void change(String initials, PersonRole role, boolean licensed, boolean retired) {
    PersonRow before = find(initials);
    if (role != PersonRole.LEAD || retired) {
      requireAnotherLead(initials);
    }
    OffsetDateTime since = before.worksHere() ? OffsetDateTime.now(clock) : before.retiredAt();
    store.changePerson(new PersonRow(initials, role, licensed, retired ? since : null));
    if (retired) {
      sessions.endAllOf(initials);
    }
  }

  /** Who puts a shop back that does not know them goes on in it. */
  @Transactional
  public void stays(SignedIn who) {
    if (store.person(who.initials()).isEmpty()) {
      store.addPerson(new PersonRow(who.initials(), who.role(), who.licensed(), null));
    }
  }

  /** Gives a person another PIN, to be replaced at its first use; their devices lock. */
  @Transactional
  public void resetPin(String initials, String pin) {
    find(initials);
    requireSound(pin);
    pins.set(initials, pin, true);
    sessions.endAllOf(initials);
  }

  /** Chooses one's own PIN. */
  @Transactional
  public void ownPin(String initials, String pin) {
    requireSound(pin);
    pins.set(initials, pin, false);
  }

  /** Gives a person a badge, or takes it. */
  @Transactional
  public void badge(String initials, String code) {
    find(initials);
    String typed = code == null ? "" : code.strip();
    if (!typed.isEmpty() && typed.length() < 6) {
      throw new Refused("badge", "The code of a badge has at least six characters.");
    }
    pins.setBadge(initials, typed);
  }

  /**
   * Why somebody has to stay a lead: no other can sign in. Empty where they need not, or are none.
   */
  public Optional<String> onlyLead(String initials) {
    Optional<PersonRow> lead =
        store.person(initials).filter(p -> p.role() == PersonRole.LEAD && p.worksHere());
    Set<String> withPin = pins.whoHaveOne();
    boolean another =
        store.people().stream()
            .anyMatch(
                p ->
                    p.role() == PersonRole.LEAD
                        && p.worksHere()
                        && !p.initials().equals(initials)
                        && withPin.contains(p.initials()));
    return lead.filter(p -> !another)
        .map(p -> initials + " is the only lead who can sign in: make another first.");
  }

  private void requireAnotherLead(String initials) {
    requireNone("initials", onlyLead(initials));
  }

  /** Why these cannot be the initials of a person; empty where they can. */
  public static Optional<String> faultOf(String initials) {
    return initials != null && INITIALS.matcher(initials).matches()
        ? Optional.empty()
        : Optional.of("Initials are two to four capital letters or figures.");
  }

  private static void requireInitials(String initials) {
    requireNone("initials", faultOf(initials));
  }

  private static void requireSound(String pin) {
    requireNone("pin", PinRules.fault(pin));
  }

  private static void requireNone(String field, Optional<String> fault) {
    fault.ifPresent(
        sentence -> {
          throw new Refused(field, sentence);
        });
  }

  private PersonRow find(String initials) {
    return store
        .person(initials)
        .orElseThrow(
            () -> new Refused("initials", "Nobody here has the initials " + initials + "."));
  }
}
