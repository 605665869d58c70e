package isokinon.server.work.bench;

import static java.lang.annotation.ElementType.FIELD;
import static java.lang.annotation.ElementType.METHOD;
import static java.lang.annotation.ElementType.PARAMETER;
import static java.lang.annotation.ElementType.TYPE_USE;
import static java.lang.annotation.RetentionPolicy.RUNTIME;

import jakarta.validation.Constraint;
import jakarta.validation.Payload;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.lang.annotation.Retention;
import java.lang.annotation.Target;

/** An id or a short name: at most 80 characters, on one line, as the table of events keeps them. */
@Size(max = 80)
@Pattern(regexp = "\\P{Cntrl}*", message = "must be one line")
@Constraint(validatedBy = {})
@Target({FIELD, METHOD, PARAMETER, TYPE_USE})
@Retention(RUNTIME)
public @interface Identifier {
  /** What is said where a text is none. */
  String message() default "is no id";

  /** Not used here; the validation library asks for it. */
  Class<?>[] groups() default {};

  /** Not used here; the validation library asks for it. */
  Class<? extends Payload>[] payload() default {};
}
