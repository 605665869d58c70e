package isokinon.server.access;

import isokinon.core.person.PersonRole;
import isokinon.core.value.Code;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What somebody may do in the shop: the one table of rights. Every operation of the API names the
 * right it needs with {@link Needs}; one without a right is open to nobody.
 */
public enum Right implements Code {
  /** Signing in, and what is computed only from what is sent: nobody need be signed in. */
  OPEN,
  /** Looking at everything. */
  SEE(PersonRole.TECHNICIAN, PersonRole.STOREKEEPER, PersonRole.LEAD, PersonRole.DISPLAY),
  /** Changing what is one's own: the PIN. */
  OWN(PersonRole.TECHNICIAN, PersonRole.STOREKEEPER, PersonRole.LEAD),
  /** Work at pumps: rebuilds, rounds, counters, findings, the diary. */
  WORK(PersonRole.TECHNICIAN, PersonRole.LEAD),
  /** Taking from the shelf for a job, holding and putting back. */
  TAKE(PersonRole.TECHNICIAN, PersonRole.STOREKEEPER, PersonRole.LEAD),
  /** Keeping the shelf: taking in, counting, scrapping. */
  STOCK(PersonRole.STOREKEEPER, PersonRole.LEAD),
  /** Policies, duties, own rows, sheets, tables brought in, restore, people. */
  LEAD(PersonRole.LEAD);

  private final Set<PersonRole> roles;

  Right(PersonRole... roles) {
    this.roles = roles.length == 0 ? Set.of() : EnumSet.copyOf(List.of(roles));
  }

  /** Whether people of this role have it. */
  public boolean of(PersonRole role) {
    return this == OPEN || roles.contains(role);
  }

  /** Who has it, in words for a sentence: {@code "a storekeeper or a lead"}. */
  public String who() {
    return String.join(" or ", roles.stream().map(r -> "a " + r.code()).toList());
  }
}
