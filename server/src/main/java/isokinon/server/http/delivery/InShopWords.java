package isokinon.server.http.delivery;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonStreamContext;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.ser.std.StdScalarSerializer;
import isokinon.server.work.shared.ShopWords;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * What goes to a screen goes in the shop's words. What people wrote themselves stays as they wrote
 * it, so does what other programs ask to have computed.
 */
@Configuration
class InShopWords implements WebMvcConfigurer {

  private static final String COMPUTE = "/api/v1/compute/";
  private static final String SET_UP = "/api/v1/setup/";

  /** Fields that hold what people wrote, or what a form holds while it is filled in. */
  private static final Set<String> WRITTEN =
      Set.of("note", "text", "source", "typed", "name", "sign");

  /** A duty goes to a form and comes back from there. */
  private static final String DUTY = "duty";

  private final ShopWords words;

  InShopWords(ShopWords words) {
    this.words = words;
  }

  @Override
  public void extendMessageConverters(List<HttpMessageConverter<?>> converters) {
    for (HttpMessageConverter<?> converter : converters) {
      if (converter instanceof MappingJackson2HttpMessageConverter json) {
        SimpleModule module = new SimpleModule("shop-words");
        module.addSerializer(String.class, new Said(words));
        json.setObjectMapper(json.getObjectMapper().copy().registerModule(module));
      }
    }
  }

  private static final class Said extends StdScalarSerializer<String> {
    private static final long serialVersionUID = 1L;

    private final transient ShopWords words;

    Said(ShopWords words) {
      super(String.class);
      this.words = words;
    }

    @Override
    public void serialize(String text, JsonGenerator json, SerializerProvider provider)
        throws IOException {
      json.writeString(asSaid(text, json.getOutputContext()));
    }

    private String asSaid(String text, JsonStreamContext at) {
      String field = at.getCurrentName();
      String address = address();
      if (address.startsWith(COMPUTE)) {
        return text;
      }
      boolean ofADuty =
          DUTY.equals(at.getParent() == null ? null : at.getParent().getCurrentName());
      boolean written = ofADuty || field != null && WRITTEN.contains(field);
      return written || address.startsWith(SET_UP) ? words.money(text) : words.of(text);
    }

    private static String address() {
      return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now
          ? now.getRequest().getRequestURI()
          : "";
    }
  }
}
