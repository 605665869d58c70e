package isokinon.server.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.cert.CertPathValidator;
import java.security.cert.CertificateFactory;
import java.security.cert.PKIXParameters;
import java.security.cert.TrustAnchor;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The shop's own authority and the certificate that it signs. */
class ShopAuthorityTest {

  private static final List<String> NAMES = List.of("pumps.shop", "192.0.2.7", "localhost");

  @TempDir Path dir;

  private static X509Certificate read(Path file) throws Exception {
    try (InputStream in = Files.newInputStream(file)) {
      return (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
    }
  }

  @Test
  void theCertificateIsSignedByTheAuthorityAndNamesEveryNameAndAddress() throws Exception {
    ShopAuthority shop = new ShopAuthority(dir, Clock.systemUTC());
    assertThat(shop.prepare("Skerrow Mill", NAMES)).isTrue();
    assertThat(shop.named()).containsExactlyInAnyOrderElementsOf(NAMES);
    CertificateFactory x509 = CertificateFactory.getInstance("X.509");
    PKIXParameters trusted =
        new PKIXParameters(Set.of(new TrustAnchor(read(shop.authority()), null)));
    trusted.setRevocationEnabled(false);
    CertPathValidator.getInstance("PKIX")
        .validate(x509.generateCertPath(List.of(read(shop.certificate()))), trusted);
    assertThat(read(shop.authority()).getBasicConstraints()).isZero();
    assertThat(read(shop.certificate()).getBasicConstraints()).isEqualTo(-1);
    assertThat(shop.fingerprint()).matches("([0-9A-F]{2} ){31}[0-9A-F]{2}");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(shop.key())))
        .isEqualTo("rw-------");
  }

  @Test
  void itIsMadeAnewForANewNameAndBeforeItRunsOutUnderTheSameAuthority() throws Exception {
    ShopAuthority shop = new ShopAuthority(dir, Clock.systemUTC());
    shop.prepare("mill", NAMES);
    String known = shop.fingerprint();
    assertThat(shop.prepare("mill", NAMES)).isFalse();
    assertThat(shop.prepare("mill", List.of("localhost", "192.0.2.8"))).isTrue();
    assertThat(shop.named()).contains("192.0.2.8");
    Clock inAYear = Clock.offset(Clock.systemUTC(), Duration.ofDays(370));
    assertThat(new ShopAuthority(dir, inAYear).prepare("mill", List.of("localhost"))).isTrue();
    assertThat(shop.fingerprint()).isEqualTo(known);
    Clock inTenYears = Clock.offset(Clock.systemUTC(), Duration.ofDays(3640));
    assertThat(new ShopAuthority(dir, inTenYears).prepare("mill", List.of("localhost"))).isTrue();
    assertThat(shop.fingerprint()).isNotEqualTo(known);
  }
}
