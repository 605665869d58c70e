package isokinon.server.http.delivery;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;
import org.springframework.web.servlet.resource.PathResourceResolver;

/**
 * Scripts, styles and fonts of the screens. Their names hold a digest of what is in them, so a
 * browser that has one need never ask for it again; the page that names them is always asked for.
 * They were compressed when they were built.
 */
@Configuration
class ScreenFiles implements WebMvcConfigurer {

  private static final Duration FOR_GOOD = Duration.ofDays(365);

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(FOR_GOOD).cachePublic().immutable())
        .resourceChain(true)
        .addResolver(new EncodedResourceResolver())
        .addResolver(new PathResourceResolver());
  }
}
