package isokinon.server.network;

import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/** What this machine is called, and under which addresses others reach it. */
final class Machine {

  private Machine() {}

  /** The name that the machine gives itself; empty where it knows none. */
  static Optional<String> name() {
    try {
      return Optional.of(InetAddress.getLocalHost().getHostName()).filter(n -> !n.isBlank());
    } catch (UnknownHostException e) {
      return Optional.empty();
    }
  }

  /** Its addresses on networks of version 4, those of the loopback left out, in a fixed order. */
  static List<String> addresses() {
    try {
      return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
          .flatMap(n -> Collections.list(n.getInetAddresses()).stream())
          .filter(a -> a instanceof Inet4Address && !a.isLoopbackAddress())
          .map(InetAddress::getHostAddress)
          .distinct()
          .sorted()
          .toList();
    } catch (SocketException e) {
      return List.of();
    }
  }
}
