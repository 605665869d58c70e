package isokinon.server.http.description;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.ComposedSchema;
import io.swagger.v3.oas.models.media.Schema;
import isokinon.server.work.bench.AskedAct;
import isokinon.server.work.pumps.DutyForm;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * In the API description every field of an answer is there, and only an {@link Optional} one, or
 * one that somebody left out of a form, may be null.
 */
@Component
class RecordsInDescription implements ModelConverter {

  /** Records that people fill in and that are shown again: what they leave out is null. */
  private static final Set<Class<?>> FORMS = Set.of(DutyForm.class, DutyForm.FluidForm.class);

  @Override
  public Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
    if (!chain.hasNext()) {
      return null;
    }
    Schema<?> resolved = chain.next().resolve(type, context, chain);
    Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
    if (resolved != null && raw.isRecord() && !isAsked(raw)) {
      String ref = resolved.get$ref();
      Schema<?> model =
          ref == null
              ? resolved
              : context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
      if (model != null) {
        describe(model, raw);
      }
    }
    return resolved;
  }

  /** What is asked of the server may leave fields out. */
  private static boolean isAsked(Class<?> record) {
    String name = record.getSimpleName();
    return AskedAct.class.isAssignableFrom(record)
        || name.startsWith("Typed")
        || name.endsWith("Question")
        || name.endsWith("Request");
  }

  private static void describe(Schema<?> model, Class<?> type) {
    if (model.getProperties() == null) {
      return;
    }
    model.setRequired(new ArrayList<>(model.getProperties().keySet()));
    for (RecordComponent field : type.getRecordComponents()) {
      boolean left = FORMS.contains(type) && !List.class.equals(field.getType());
      if (left || field.getType() == Optional.class) {
        model.getProperties().computeIfPresent(field.getName(), (n, p) -> nullable(p));
      }
    }
  }

  private static Schema<?> nullable(Schema<?> property) {
    if (property.get$ref() == null) {
      property.setNullable(true);
      return property;
    }
    Schema<?> wrapped =
        new ComposedSchema().allOf(List.of(new Schema<>().$ref(property.get$ref())));
    wrapped.setNullable(true);
    return wrapped;
  }
}
