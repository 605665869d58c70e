package isokinon.server.http;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ComposedSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The OpenAPI description: every field of an answer is there, and only an {@link Optional} one may
 * be null. The screens' types are generated from it.
 */
@Configuration
class ApiDescription {

  @Bean
  PropertyCustomizer optionalIsNullable() {
    return (property, type) -> isOptional(type) ? nullable(property) : property;
  }

  @Bean
  OpenApiCustomizer allFieldsRequired() {
    return api -> {
      api.setInfo(
          new Info().title("Isokinon").version("v1").description("Pump rebuilds, computed"));
      api.setServers(List.of());
      for (Map.Entry<String, Schema> entry : api.getComponents().getSchemas().entrySet()) {
        Schema<?> schema = entry.getValue();
        if (schema.getProperties() != null && !isQuestion(entry.getKey())) {
          schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
        }
      }
    };
  }

  private static boolean isQuestion(String name) {
    return name.endsWith("Question") || name.endsWith("Request");
  }

  private static boolean isOptional(AnnotatedType type) {
    Type t = type.getType();
    if (t instanceof JavaType java) {
      return java.getRawClass() == Optional.class;
    }
    return t instanceof ParameterizedType p && p.getRawType() == Optional.class;
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
