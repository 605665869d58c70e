package isokinon.server.http.bounds;

import isokinon.core.value.Fault;
import isokinon.server.work.shared.RequestProblem;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Refuses a request with a field out of its {@link Bounds}, before anything looks at it. */
@ControllerAdvice
class WithinBounds extends RequestBodyAdviceAdapter {

  @Override
  public boolean supports(
      MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converter) {
    List<Fault> faults = faults(body);
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    return body;
  }

  /** Everything that is out of its bounds. */
  static List<Fault> faults(Object body) {
    List<Fault> faults = new ArrayList<>();
    look("", body, faults);
    return faults;
  }

  private static void look(String path, Object value, List<Fault> faults) {
    if (value instanceof Record record) {
      for (RecordComponent field : record.getClass().getRecordComponents()) {
        String at = path.isEmpty() ? field.getName() : path + "." + field.getName();
        field(at, field, value(record, field), faults);
      }
    } else if (value instanceof Collection<?> list) {
      entries(path, list, Bounds.ENTRIES, faults);
    } else if (value instanceof Map<?, ?> map) {
      map.forEach((key, v) -> look(path + "." + key, v, faults));
    } else if (value instanceof Number number) {
      number(path, number, faults);
    }
  }

  private static void field(String path, RecordComponent field, Object given, List<Fault> faults) {
    Object value = given instanceof Optional<?> maybe ? maybe.orElse(null) : given;
    if (value instanceof String text) {
      text(path, text, Bounds.text(field), faults);
    } else if (value instanceof Collection<?> list) {
      entries(path, list, Bounds.entries(field), faults);
    } else if (value instanceof Map<?, ?> map) {
      if (map.size() > Bounds.entries(field)) {
        faults.add(tooMany(path, map.size(), Bounds.entries(field)));
      } else {
        map.forEach(
            (key, v) -> {
              text(path, String.valueOf(key), Bounds.text(""), faults);
              if (v instanceof String text) {
                text(path + "." + key, text, Bounds.text(field.getName()), faults);
              } else {
                entry(path + "." + key, v, faults);
              }
            });
      }
    } else {
      look(path, value, faults);
    }
  }

  private static void entries(String path, Collection<?> list, int most, List<Fault> faults) {
    if (list.size() > most) {
      faults.add(tooMany(path, list.size(), most));
      return;
    }
    int i = 0;
    for (Object value : list) {
      String at = path + "[" + i++ + "]";
      if (value == null) {
        faults.add(new Fault(at, "Missing: this must be given."));
      } else {
        entry(at, value, faults);
      }
    }
  }

  private static void entry(String path, Object value, List<Fault> faults) {
    if (value instanceof String text) {
      text(path, text, Bounds.text(""), faults);
    } else {
      look(path, value, faults);
    }
  }

  private static Fault tooMany(String path, int count, int most) {
    return new Fault(path, "There are at most " + most + " of them; " + count + " are too many.");
  }

  private static void text(String path, String text, int most, List<Fault> faults) {
    if (text.length() > most) {
      faults.add(
          new Fault(
              path, "It has at most " + most + " characters; " + text.length() + " are too many."));
    }
  }

  private static void number(String path, Number number, List<Fault> faults) {
    Bounds.Span span = Bounds.number(path.substring(path.lastIndexOf('.') + 1));
    if (!span.holds(number.doubleValue())) {
      faults.add(
          new Fault(
              path,
              String.format(
                  Locale.ROOT,
                  "It is a number from %.0f to %.0f; %s is not.",
                  span.from(),
                  span.to(),
                  number)));
    }
  }

  private static Object value(Record record, RecordComponent field) {
    try {
      field.getAccessor().setAccessible(true);
      return field.getAccessor().invoke(record);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException(e);
    }
  }
}
