package isokinon.server.network;

import java.io.IOException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.core.env.Environment;

/**
 * Serving on the shop's own network: over TLS only, under every name and address of the machine.
 * Without it the server answers on its own machine.
 *
 * @param names names and addresses under which it is reached, the one to print first
 * @param port where it answers over TLS
 * @param authority the authority of the shop; null where the shop has a certificate of its own
 */
public record OnTheNetwork(List<String> names, int port, ShopAuthority authority) {

  private static final String PORT = "8600";

  /** Whether it is asked for. */
  public static boolean isAskedFor(Environment asked) {
    return asked.getProperty("isokinon.lan", Boolean.class, false);
  }

  /**
   * Makes or takes the certificate.
   *
   * @param data the data folder
   */
  public static OnTheNetwork prepare(Environment asked, Path data, Clock clock)
      throws IOException, GeneralSecurityException {
    Set<String> names = new LinkedHashSet<>();
    String given = asked.getProperty("isokinon.name", "").strip();
    if (!given.isEmpty()) {
      names.add(given);
    }
    names.addAll(Machine.addresses());
    Machine.name()
        .ifPresent(
            n -> {
              names.add(n);
              names.add(n + ".local");
            });
    names.addAll(List.of("localhost", "127.0.0.1"));
    int port = Integer.parseInt(asked.getProperty("isokinon.port", PORT));
    if (asked.getProperty("isokinon.tls.certificate") != null) {
      return new OnTheNetwork(List.copyOf(names), port, null);
    }
    ShopAuthority authority = new ShopAuthority(data.resolve("tls"), clock);
    authority.prepare(given.isEmpty() ? "the" : given, names);
    return new OnTheNetwork(List.copyOf(names), port, authority);
  }

  /** The address to print and to scan. */
  public String address() {
    return "https://" + names.get(0) + ":" + port;
  }

  /** What the application is started with besides. */
  public List<String> arguments(Environment asked) {
    List<String> all = new ArrayList<>();
    String certificate =
        authority == null
            ? asked.getProperty("isokinon.tls.certificate")
            : authority.certificate().toString();
    String key =
        authority == null ? asked.getProperty("isokinon.tls.key", "") : authority.key().toString();
    all.add("--server.address=0.0.0.0");
    all.add("--spring.ssl.bundle.pem.shop.keystore.certificate=file:" + certificate);
    all.add("--spring.ssl.bundle.pem.shop.keystore.private-key=file:" + key);
    all.add("--server.ssl.bundle=shop");
    all.add("--server.ssl.enabled-protocols=TLSv1.3,TLSv1.2");
    String more = asked.getProperty("isokinon.hosts", "");
    all.add("--isokinon.hosts=" + String.join(",", names) + (more.isEmpty() ? "" : "," + more));
    if (authority != null) {
      all.add("--isokinon.authority=" + authority.authority());
    }
    return all;
  }
}
