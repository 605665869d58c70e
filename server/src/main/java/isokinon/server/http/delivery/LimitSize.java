package isokinon.server.http.delivery;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses request bodies that are longer than their address takes, before anything reads them. A
 * long body waits in a file meanwhile, not in memory.
 */
@Component
class LimitSize extends OncePerRequestFilter {

  /** Longest body where an address says nothing else, bytes. */
  static final long USUAL = 1L << 20;

  /** Longer bodies wait in a file, bytes. */
  private static final int IN_MEMORY = 1 << 20;

  private final Addresses addresses;

  /** So long the first of a body may take to arrive, all of it where it is no longer than that. */
  private final Duration deadline;

  LimitSize(Addresses addresses, @Value("${isokinon.body-deadline:20s}") Duration deadline) {
    this.addresses = addresses;
    this.deadline = deadline;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return request.getMethod().equals("GET");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long most = mostBytes(request);
    if (request.getContentLengthLong() > most) {
      refuse(response, most);
      return;
    }
    long until = System.nanoTime() + deadline.toNanos();
    byte[] start;
    try {
      start = start(request.getInputStream(), until);
    } catch (TooSlow e) {
      ProblemAnswer.write(
          response, HttpServletResponse.SC_REQUEST_TIMEOUT, "Too slow", TooSlow.SENTENCE);
      return;
    }
    if (start.length < IN_MEMORY) {
      chain.doFilter(new Kept(request, new ByteArrayInputStream(start)), response);
      return;
    }
    Path file = Files.createTempFile("isokinon-body", ".tmp");
    try {
      if (!wholeInto(file, start, request.getInputStream(), most)) {
        refuse(response, most);
        return;
      }
      try (InputStream body = new BufferedInputStream(Files.newInputStream(file))) {
        chain.doFilter(new Kept(request, body), response);
      }
    } finally {
      Files.deleteIfExists(file);
    }
  }

  /** A body that trickles in holds a thread that others wait for. */
  private static final class TooSlow extends IOException {
    private static final long serialVersionUID = 1L;

    private static final String SENTENCE = "The request took too long to arrive: send it again.";
  }

  private static byte[] start(InputStream body, long until) throws IOException {
    ByteArrayOutputStream start = new ByteArrayOutputStream();
    byte[] part = new byte[1 << 13];
    while (start.size() < IN_MEMORY) {
      int n = body.read(part, 0, Math.min(part.length, IN_MEMORY - start.size()));
      if (n < 0) {
        break;
      }
      start.write(part, 0, n);
      if (System.nanoTime() > until) {
        throw new TooSlow();
      }
    }
    return start.toByteArray();
  }

  /** Writes a body into a file; tells whether it ended within the most. */
  private static boolean wholeInto(Path file, byte[] start, InputStream rest, long most)
      throws IOException {
    try (OutputStream out = Files.newOutputStream(file)) {
      long length = start.length;
      out.write(start);
      byte[] part = new byte[1 << 16];
      for (int n = rest.read(part); n >= 0; n = rest.read(part)) {
        length += n;
        if (length > most) {
          return false;
        }
        out.write(part, 0, n);
      }
      return length <= most;
    }
  }

  private long mostBytes(HttpServletRequest request) throws ServletException {
    return addresses
        .operation(request)
        .map(o -> o.getMethodAnnotation(MostBytes.class))
        .map(MostBytes::value)
        .orElse(USUAL);
  }

  private static void refuse(HttpServletResponse response, long most) throws IOException {
    ProblemAnswer.write(
        response,
        HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE,
        "Too large",
        "A request to this address holds at most " + (most >> 20) + " MB.");
  }

  private static final class Kept extends HttpServletRequestWrapper {
    private final InputStream body;

    Kept(HttpServletRequest request, InputStream body) {
      super(request);
      this.body = body;
    }

    @Override
    public ServletInputStream getInputStream() {
      return new ServletInputStream() {
        @Override
        public boolean isFinished() {
          try {
            return body.available() == 0;
          } catch (IOException e) {
            return true;
          }
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
        public int read() throws IOException {
          return body.read();
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
          return body.read(into, from, length);
        }
      };
    }
  }
}
