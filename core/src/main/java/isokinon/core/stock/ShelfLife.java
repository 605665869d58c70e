package isokinon.core.stock;

import isokinon.core.value.Code;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Until when may an unassembled elastomer part, stored right, be fitted? ISO 2230 groups: A 5 years
 * and 2 more, B 7 and 3, C 10 and 5; the extension needs a recorded inspection. PTFE and metals do
 * not age; thermoplastic elastomers stand outside the standard and have the maker's date only.
 *
 * @param group A, B, C, none or maker
 * @param useBy last day without an inspection; empty where the standard gives none
 * @param extendedBy last day with a recorded inspection; empty where the standard gives none
 */
public record ShelfLife(Group group, Optional<LocalDate> useBy, Optional<LocalDate> extendedBy) {

  /** ISO 2230 groups, and the two cases outside it. */
  public enum Group implements Code {
    A(5, 2),
    B(7, 3),
    C(10, 5),
    /** Does not age on the shelf. */
    NONE(0, 0),
    /** Outside the standard: the maker's date, or unknown. */
    MAKER(0, 0);

    private final int years;
    private final int moreYears;

    Group(int years, int moreYears) {
      this.years = years;
      this.moreYears = moreYears;
    }
  }

  /** The shelf life of a part of {@code group} cured on {@code cured}. */
  public static ShelfLife of(Group group, LocalDate cured) {
    if (group.years == 0) {
      return new ShelfLife(group, Optional.empty(), Optional.empty());
    }
    LocalDate useBy = cured.plusYears(group.years);
    return new ShelfLife(group, Optional.of(useBy), Optional.of(useBy.plusYears(group.moreYears)));
  }

  /** How a lot of this age stands on {@code day}, as long as some of it is left. */
  public LotStatus on(LocalDate day) {
    if (group == Group.NONE) {
      return LotStatus.IN_DATE;
    }
    if (useBy.isEmpty() || extendedBy.isEmpty()) {
      return LotStatus.MAKERS_DATE;
    }
    return !day.isAfter(useBy.get())
        ? LotStatus.IN_DATE
        : !day.isAfter(extendedBy.get()) ? LotStatus.NEEDS_INSPECTION : LotStatus.OVER_AGE;
  }
}
