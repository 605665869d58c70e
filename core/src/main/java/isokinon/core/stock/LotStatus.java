package isokinon.core.stock;

import isokinon.core.value.Code;
import java.time.LocalDate;

/** How a lot stands on a day. The one vocabulary of it. */
public enum LotStatus implements Code {
  IN_DATE,
  /** Past its first date: fitted only after a recorded inspection. */
  NEEDS_INSPECTION,
  OVER_AGE,
  /** Outside ISO 2230: the maker's date holds, and nobody here knows it. */
  MAKERS_DATE,
  /** Nothing is left of it, whatever its age. */
  USED_UP;

  /** The status of a lot with {@code quantity} pieces left, on {@code day}. */
  public static LotStatus of(ShelfLife life, int quantity, LocalDate day) {
    return quantity < 1 ? USED_UP : life.on(day);
  }

  /** Whether a piece of it may be fitted, where needed after an inspection. */
  public boolean fittable() {
    return this != OVER_AGE && this != USED_UP;
  }
}
