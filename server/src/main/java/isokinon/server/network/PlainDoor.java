package isokinon.server.network;

import java.io.IOException;
import org.apache.catalina.connector.Connector;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * On the shop's network, whoever comes without TLS is sent to the door with it, and gets nothing
 * else.
 */
@Configuration(proxyBeanMethods = false)
@ConditionalOnProperty(name = "isokinon.lan", havingValue = "true")
class PlainDoor {

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> redirects(
      @Value("${server.port}") int tls, @Value("${isokinon.plain-port:8080}") int plain) {
    return server -> {
      if (plain > 0) {
        Connector connector = new Connector();
        connector.setPort(plain);
        connector.setScheme("http");
        connector.setSecure(false);
        server.addAdditionalTomcatConnectors(connector);
      }
      server.addEngineValves(new ToTls(tls));
    };
  }

  private static final class ToTls extends ValveBase {
    private static final int MOVED = 308;
    private final int port;

    ToTls(int port) {
      super(true);
      this.port = port;
    }

    @Override
    public void invoke(Request request, Response response)
        throws IOException, jakarta.servlet.ServletException {
      if (request.isSecure()) {
        getNext().invoke(request, response);
        return;
      }
      response.setStatus(MOVED);
      response.setHeader(
          "Location", "https://" + request.getServerName() + ":" + port + request.getRequestURI());
    }
  }
}
