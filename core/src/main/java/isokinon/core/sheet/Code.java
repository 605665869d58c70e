package isokinon.core.sheet;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** An enumerated word of the sheet format, written in kebab-case in the file. */
public interface Code {

  /** The enum constant's own name. */
  String name();

  /** The word as it stands in a sheet, for example {@code one-time} for {@code ONE_TIME}. */
  default String code() {
    return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
  }

  /** Finds the constant whose code is {@code word}; empty where there is none. */
  static <E extends Enum<E> & Code> Optional<E> parse(Class<E> type, String word) {
    return Arrays.stream(type.getEnumConstants()).filter(e -> e.code().equals(word)).findFirst();
  }

  /** All codes of {@code type}, for a sentence that says what would have been right. */
  static <E extends Enum<E> & Code> String all(Class<E> type) {
    return Arrays.stream(type.getEnumConstants()).map(Code::code).collect(Collectors.joining(", "));
  }
}
