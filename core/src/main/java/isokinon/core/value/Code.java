package isokinon.core.value;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** One of a closed set of words, written in kebab-case in sheets, tables and answers. */
public interface Code {

  /** The enum constant's own name. */
  String name();

  /** The word as it is written, for example {@code one-time} for {@code ONE_TIME}. */
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
