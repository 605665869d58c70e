package isokinon.server.http.description;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.BeanDescription;
import com.fasterxml.jackson.databind.DeserializationConfig;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.Module;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import com.fasterxml.jackson.databind.module.SimpleDeserializers;
import com.fasterxml.jackson.databind.module.SimpleModule;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import isokinon.core.value.Code;
import isokinon.server.work.bench.AskedAct;
import java.io.IOException;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.converter.ConverterFactory;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Closed sets are enums with a {@link Code}; their codes go over the wire. Here is the one place
 * that writes them, reads them, takes them from addresses, and tells them in the API description.
 */
@Configuration
public class Codes implements WebMvcConfigurer {

  @Bean
  Module codesInJson() {
    SimpleModule module = new SimpleModule("codes");
    module.addSerializer(Code.class, new Written());
    module.setDeserializers(new Read());
    return module;
  }

  /** Kinds of act by the word that stands in {@code kind}. */
  @Bean
  Module actsInJson() {
    SimpleModule module = new SimpleModule("acts");
    for (Class<?> kind : AskedAct.kinds()) {
      module.registerSubtypes(new NamedType(kind, AskedAct.kind(kind)));
    }
    return module;
  }

  @Override
  public void addFormatters(FormatterRegistry registry) {
    registry.addConverterFactory(new InAddresses());
  }

  @Bean
  ModelConverter codesInDescription() {
    return new Described();
  }

  private static final class Written extends JsonSerializer<Code> {
    @Override
    public void serialize(Code code, JsonGenerator json, SerializerProvider provider)
        throws IOException {
      json.writeString(code.code());
    }
  }

  private static final class Read extends SimpleDeserializers {
    private static final long serialVersionUID = 1L;

    @Override
    public JsonDeserializer<?> findEnumDeserializer(
        Class<?> type, DeserializationConfig config, BeanDescription description)
        throws JsonMappingException {
      return Code.class.isAssignableFrom(type)
          ? new OneOf(type)
          : super.findEnumDeserializer(type, config, description);
    }
  }

  private static final class OneOf extends JsonDeserializer<Object> {
    private final Class<?> type;

    OneOf(Class<?> type) {
      this.type = type;
    }

    @Override
    public Object deserialize(JsonParser json, DeserializationContext context) throws IOException {
      String word = json.getValueAsString("");
      Object found = find(type, word);
      return found != null
          ? found
          : context.handleWeirdStringValue(type, word, "one of %s", String.join(", ", of(type)));
    }
  }

  private static final class InAddresses implements ConverterFactory<String, Code> {
    @Override
    public <T extends Code> Converter<String, T> getConverter(Class<T> type) {
      return word -> {
        Object found = find(type, word);
        if (found == null) {
          throw new IllegalArgumentException("One of " + String.join(", ", of(type)) + ".");
        }
        return type.cast(found);
      };
    }
  }

  /** In the API description each closed set stands once, by its name. */
  private static final class Described implements ModelConverter {
    @Override
    public Schema<?> resolve(
        AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
      Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
      if (raw.isEnum() && Code.class.isAssignableFrom(raw)) {
        String name =
            raw.getEnclosingClass() == null || !AMBIGUOUS.contains(raw.getSimpleName())
                ? raw.getSimpleName()
                : raw.getEnclosingClass().getSimpleName() + raw.getSimpleName();
        StringSchema schema = new StringSchema();
        of(raw).forEach(schema::addEnumItem);
        context.defineModel(name, schema, type, null);
        return new Schema<>().$ref("#/components/schemas/" + name);
      }
      return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
    }
  }

  /** Names that several closed sets have; they stand with the name of what they belong to. */
  private static final List<String> AMBIGUOUS =
      List.of("Kind", "Way", "Verdict", "Status", "Reason");

  private static Object find(Class<?> type, String word) {
    return Arrays.stream(type.getEnumConstants())
        .filter(e -> ((Code) e).code().equals(word))
        .findFirst()
        .orElse(null);
  }

  /** The codes of a closed set. */
  public static List<String> of(Class<?> type) {
    return Arrays.stream(type.getEnumConstants()).map(e -> ((Code) e).code()).toList();
  }
}
