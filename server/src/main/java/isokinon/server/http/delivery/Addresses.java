package isokinon.server.http.delivery;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Component;
import org.springframework.web.HttpMediaTypeException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExecutionChain;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;

/** Which operation an address is, for what is decided before it is asked. */
@Component
public class Addresses {

  /** Where a request keeps what was found of it: several ask. */
  private static final String FOUND = Addresses.class.getName();

  private final ObjectProvider<RequestMappingHandlerMapping> mapping;

  Addresses(
      @Qualifier("requestMappingHandlerMapping")
          ObjectProvider<RequestMappingHandlerMapping> mapping) {
    this.mapping = mapping;
  }

  /** The operation; empty where there is none, or not in this way, which is refused in its turn. */
  public Optional<HandlerMethod> operation(HttpServletRequest request) throws ServletException {
    if (request.getAttribute(FOUND) == null) {
      request.setAttribute(FOUND, find(request));
    }
    return ((Found) request.getAttribute(FOUND)).operation();
  }

  private record Found(Optional<HandlerMethod> operation) {}

  private Found find(HttpServletRequest request) throws ServletException {
    try {
      ServletRequestPathUtils.parseAndCache(request);
      HandlerExecutionChain found = mapping.getObject().getHandler(request);
      return found != null && found.getHandler() instanceof HandlerMethod method
          ? new Found(Optional.of(method))
          : new Found(Optional.empty());
    } catch (HttpRequestMethodNotSupportedException | HttpMediaTypeException e) {
      return new Found(Optional.empty());
    } catch (RuntimeException | ServletException e) {
      throw e;
    } catch (Exception e) {
      throw new ServletException(e);
    }
  }
}
