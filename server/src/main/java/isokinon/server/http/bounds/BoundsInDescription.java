package isokinon.server.http.bounds;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Writes the bounds of every field of every request into the API description. */
@Component
@Order
@SuppressWarnings("rawtypes")
class BoundsInDescription implements OpenApiCustomizer {

  @Override
  public void customise(OpenAPI api) {
    Map<String, Schema> schemas = api.getComponents().getSchemas();
    Set<Schema> seen = new HashSet<>();
    api.getPaths().values().stream()
        .flatMap(path -> path.readOperations().stream())
        .filter(operation -> operation.getRequestBody() != null)
        .filter(operation -> operation.getRequestBody().getContent() != null)
        .flatMap(operation -> operation.getRequestBody().getContent().values().stream())
        .map(MediaType::getSchema)
        .forEach(schema -> bound("", schema, schemas, seen));
  }

  private static void bound(
      String name, Schema<?> schema, Map<String, Schema> schemas, Set<Schema> seen) {
    if (schema == null || !seen.add(schema)) {
      return;
    }
    if (schema.get$ref() != null) {
      String ref = schema.get$ref();
      bound(name, schemas.get(ref.substring(ref.lastIndexOf('/') + 1)), schemas, seen);
      return;
    }
    switch (schema.getType() == null ? "" : schema.getType()) {
      case "string" -> {
        if (schema.getMaxLength() == null
            && schema.getEnum() == null
            && schema.getFormat() == null) {
          schema.setMaxLength(Bounds.text(name));
        }
      }
      case "number", "integer" -> {
        Bounds.Span span = Bounds.number(name);
        if (schema.getMaximum() == null) {
          schema.setMaximum(BigDecimal.valueOf((long) span.to()));
        }
        if (schema.getMinimum() == null) {
          schema.setMinimum(BigDecimal.valueOf((long) span.from()));
        }
      }
      case "array" -> {
        if (schema.getMaxItems() == null) {
          schema.setMaxItems(Bounds.ENTRIES);
        }
      }
      default -> {}
    }
    inside(schema).forEach(s -> bound("", s, schemas, seen));
    if (schema.getAdditionalProperties() instanceof Schema more) {
      bound(name, more, schemas, seen);
    }
    if (schema.getProperties() != null) {
      schema.getProperties().forEach((n, p) -> bound(n, p, schemas, seen));
    }
  }

  private static Stream<Schema> inside(Schema<?> schema) {
    Stream<Schema> kinds =
        Stream.of(schema.getAllOf(), schema.getOneOf(), schema.getAnyOf())
            .filter(list -> list != null)
            .flatMap(list -> list.stream());
    return Stream.concat(kinds, Stream.ofNullable(schema.getItems()));
  }
}
