package isokinon.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses request bodies over a megabyte before anything reads them. */
@Component
class LimitSize extends OncePerRequestFilter {

  static final int MOST_BYTES = 1_048_576;

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return request.getMethod().equals("GET");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    byte[] body = request.getInputStream().readNBytes(MOST_BYTES + 1);
    if (body.length > MOST_BYTES) {
      String sentence = "A request holds at most 1 MB.";
      response.setStatus(413);
      response.setContentType("application/problem+json");
      response
          .getOutputStream()
          .write(
              ("{\"status\":413,\"title\":\"Too large\",\"detail\":\""
                      + sentence
                      + "\",\"errors\":[{\"path\":\"\",\"message\":\""
                      + sentence
                      + "\"}]}")
                  .getBytes(StandardCharsets.UTF_8));
      return;
    }
    chain.doFilter(new Buffered(request, body), response);
  }

  private static final class Buffered extends HttpServletRequestWrapper {
    private final byte[] body;

    Buffered(HttpServletRequest request, byte[] body) {
      super(request);
      this.body = body;
    }

    @Override
    public ServletInputStream getInputStream() {
      ByteArrayInputStream in = new ByteArrayInputStream(body);
      return new ServletInputStream() {
        @Override
        public boolean isFinished() {
          return in.available() == 0;
        }

        @Override
        public boolean isReady() {
          return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
          throw new UnsupportedOperationException("read at once, never asynchronously");
        }

        @Override
        public int read() {
          return in.read();
        }
      };
    }
  }
}
