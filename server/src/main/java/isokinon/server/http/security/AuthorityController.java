package isokinon.server.http.security;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.network.ShopAuthority;
import isokinon.server.work.shared.RequestProblem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The shop's own certificate authority, for tablets that are to trust it. */
@RestController
@RequestMapping("/api/v1/authority")
@Needs(Right.OPEN)
@Tag(name = "authority", description = "The certificate authority of the shop's own network")
class AuthorityController {

  /**
   * The authority.
   *
   * @param fingerprint SHA-256 of its certificate, to be compared with the one that the server
   *     prints where it starts
   */
  record AuthorityView(String fingerprint) {}

  private final Path certificate;
  private final Clock clock;

  AuthorityController(@Value("${isokinon.authority:}") String certificate, Clock clock) {
    this.certificate = Path.of(certificate);
    this.clock = clock;
  }

  private Path present() {
    if (certificate.toString().isEmpty() || !Files.exists(certificate)) {
      throw RequestProblem.missing("This server has no certificate authority of its own.");
    }
    return certificate;
  }

  @GetMapping
  @Operation(summary = "By what the shop's certificate authority is known")
  AuthorityView view() throws IOException, GeneralSecurityException {
    return new AuthorityView(new ShopAuthority(present().getParent(), clock).fingerprint());
  }

  @GetMapping(value = "/certificate", produces = "application/x-x509-ca-cert")
  @Operation(summary = "The certificate of the shop's authority, to be installed on a tablet")
  ResponseEntity<Resource> certificate() {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"shop-authority.crt\"")
        .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
        .body(new FileSystemResource(present()));
  }
}
