package isokinon.server.http.description;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.ComposedSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Properties;

/**
 * What the fields and parameters of the API mean. A record that says it in its Javadoc is heard
 * first; what it leaves open stands in {@code api-terms.properties}, once for every schema that has
 * such a field.
 */
final class ApiTerms {

  private static final String FILE = "/api-terms.properties";

  private final Properties terms = new Properties();

  private ApiTerms() {}

  /** The terms that ship with the application. */
  static ApiTerms shipped() {
    ApiTerms read = new ApiTerms();
    try (Reader file =
        new InputStreamReader(ApiTerms.class.getResourceAsStream(FILE), StandardCharsets.UTF_8)) {
      read.terms.load(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return read;
  }

  /** Every name in the list: a field, or a field of one schema. */
  Iterable<String> names() {
    return terms.stringPropertyNames();
  }

  /** Writes the meaning of every field and parameter that has none yet. */
  @SuppressWarnings("rawtypes")
  void describe(OpenAPI api) {
    Map<String, Schema> schemas = api.getComponents().getSchemas();
    for (Map.Entry<String, Schema> schema : schemas.entrySet()) {
      if (schema.getValue().getProperties() != null) {
        schema
            .getValue()
            .getProperties()
            .replaceAll(
                (name, field) ->
                    described(schemas, schema.getKey(), (String) name, (Schema) field));
      }
    }
    api.getPaths().values().stream()
        .flatMap(p -> p.readOperations().stream())
        .filter(o -> o.getParameters() != null)
        .flatMap(o -> o.getParameters().stream())
        .filter(p -> p.getDescription() == null)
        .forEach(p -> p.setDescription(terms.getProperty(p.getName())));
  }

  @SuppressWarnings("rawtypes")
  private Schema<?> described(
      Map<String, Schema> schemas, String schema, String name, Schema<?> field) {
    String meaning =
        field.getDescription() == null
            ? terms.getProperty(schema + "." + name, terms.getProperty(name))
            : field.getDescription();
    if (field.get$ref() == null) {
      return field.description(meaning);
    }
    Schema<?> named = schemas.get(field.get$ref().substring(field.get$ref().lastIndexOf('/') + 1));
    if (named.getDiscriminator() != null) {
      named.setDescription(meaning); // a choice of kinds stays a plain reference
      return field;
    }
    // Beside a reference nothing else may stand, so it is wrapped.
    return new ComposedSchema()
        .allOf(List.of(new Schema<>().$ref(field.get$ref())))
        .description(meaning);
  }
}
