package isokinon.server.access;

import isokinon.server.db.shop.PersonRole;
import isokinon.server.db.shop.PersonRow;
import isokinon.server.db.stores.StoresMapper;
import java.util.List;
import org.springframework.stereotype.Service;

/** The people of the shop, known by initials. A lead may accept what misses its limit. */
@Service
public class People {

  /** Someone whose initials the shop does not know. */
  public static final class Unknown extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Unknown(String initials) {
      super("Nobody here has the initials " + initials + ".");
    }
  }

  private final StoresMapper store;

  People(StoresMapper store) {
    this.store = store;
  }

  /** A person and what they may do. */
  public record Person(String initials, PersonRole role, boolean licensedElectrical) {}

  /** Everyone, leads last. */
  public List<Person> all() {
    return store.people().stream()
        .map(p -> new Person(p.initials(), p.role(), p.licensedElectrical()))
        .toList();
  }

  /**
   * Makes sure that someone has these initials.
   *
   * @throws Unknown where nobody has
   */
  public void requireKnown(String initials) {
    find(initials);
  }

  /** Whether this person leads. */
  public boolean leads(String initials) {
    return find(initials).role() == PersonRole.LEAD;
  }

  private PersonRow find(String initials) {
    return store.person(initials).orElseThrow(() -> new Unknown(initials));
  }
}
