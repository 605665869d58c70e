package isokinon.core.act;

import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;

/** Acts of every kind there is, filled with whatever fits the types of their fields. */
public final class RandomActs {

  /** Every kind of act. */
  public static final List<Class<?>> KINDS =
      Arrays.stream(Act.class.getPermittedSubclasses())
          .flatMap(family -> Arrays.stream(family.getPermittedSubclasses()))
          .toList();

  private RandomActs() {}

  /** An act of this kind; its texts are among {@code names}. */
  public static Act of(Class<?> kind, Random random, List<String> names) {
    return (Act) record(kind, random, names);
  }

  /** Any act; its texts are among {@code names}. */
  public static Act any(Random random, List<String> names) {
    return of(KINDS.get(random.nextInt(KINDS.size())), random, names);
  }

  private static Object record(Class<?> type, Random random, List<String> names) {
    RecordComponent[] parts = type.getRecordComponents();
    Object[] values = Stream.of(parts).map(p -> value(p.getGenericType(), random, names)).toArray();
    try {
      Class<?>[] types = Stream.of(parts).map(RecordComponent::getType).toArray(Class[]::new);
      return type.getDeclaredConstructor(types).newInstance(values);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Object value(Type type, Random random, List<String> names) {
    if (type instanceof java.lang.reflect.ParameterizedType of) {
      Type[] inner = of.getActualTypeArguments();
      boolean some = random.nextBoolean();
      if (of.getRawType() == Optional.class) {
        return some ? Optional.of(value(inner[0], random, names)) : Optional.empty();
      }
      if (of.getRawType() == Map.class) {
        return some ? Map.of(name(random, names), name(random, names)) : Map.of();
      }
      return some ? List.of(value(inner[0], random, names)) : List.of();
    }
    Class<?> plain = (Class<?>) type;
    if (plain == String.class) {
      return name(random, names);
    }
    if (plain == int.class) {
      return random.nextInt(11) - 1;
    }
    if (plain == double.class || plain == Double.class) {
      return random.nextDouble() * 30 - 2;
    }
    if (plain == boolean.class) {
      return random.nextBoolean();
    }
    if (plain == java.time.LocalDate.class) {
      return java.time.LocalDate.EPOCH;
    }
    return plain.isEnum()
        ? plain.getEnumConstants()[random.nextInt(plain.getEnumConstants().length)]
        : record(plain, random, names);
  }

  private static String name(Random random, List<String> names) {
    return names.get(random.nextInt(names.size()));
  }
}
