package isokinon.server.work.library;

import isokinon.core.stock.LotStatus;
import isokinon.core.stock.ShelfLife;
import isokinon.server.work.shared.Text;

/** How a lot stands, in words. */
public final class LotText {

  private LotText() {}

  /** The status in a word or two. */
  public static String brief(LotStatus status) {
    return switch (status) {
      case IN_DATE -> "in date";
      case NEEDS_INSPECTION -> "inspect before use";
      case OVER_AGE -> "over-age";
      case MAKERS_DATE -> "maker's date";
      case USED_UP -> "none left";
    };
  }

  /** The status with its dates, and what it asks for. */
  public static String say(LotStatus status, ShelfLife life) {
    return switch (status) {
      case IN_DATE -> life.useBy().map(d -> "use by " + Text.day(d)).orElse("does not age");
      case NEEDS_INSPECTION ->
          "past its first date "
              + life.useBy().map(Text::day).orElse("")
              + ": inspect and record, then until "
              + life.extendedBy().map(Text::day).orElse("");
      case OVER_AGE ->
          "over-age since " + life.extendedBy().map(Text::day).orElse("") + ", scrap it";
      case MAKERS_DATE -> "outside ISO 2230: the maker's date holds";
      case USED_UP -> "none left";
    };
  }
}
