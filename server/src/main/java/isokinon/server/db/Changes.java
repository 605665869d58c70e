package isokinon.server.db;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a statement of a mapper changes. Every statement that writes has one. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Changes {
  /** The kinds of data that are different afterwards. */
  Topic[] value();
}
