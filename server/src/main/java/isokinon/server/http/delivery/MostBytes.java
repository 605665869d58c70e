package isokinon.server.http.delivery;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** How long the body of a request to this address may be; {@link LimitSize#USUAL} without it. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface MostBytes {
  /** Bytes. */
  long value();
}
