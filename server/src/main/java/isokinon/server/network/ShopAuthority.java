package isokinon.server.network;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Date;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.apache.commons.codec.digest.DigestUtils;
import org.bouncycastle.asn1.pkcs.PrivateKeyInfo;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.cert.X509CertificateHolder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.openssl.PEMParser;
import org.bouncycastle.openssl.jcajce.JcaPEMKeyConverter;
import org.bouncycastle.openssl.jcajce.JcaPEMWriter;
import org.bouncycastle.openssl.jcajce.JcaPKCS8Generator;
import org.bouncycastle.operator.ContentSigner;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * A certificate authority of the shop's own, and the certificate of its server: elliptic curve
 * P-256, signed with SHA-256 (RFC 5280). Tablets trust the authority once; the server's certificate
 * names every name and address it is reached under, and is made anew before it runs out or when one
 * of them is new. All of it lies in the data folder, the keys for its owner only.
 */
public final class ShopAuthority {

  private static final String CURVE = "secp256r1";
  private static final String SIGNED_WITH = "SHA256withECDSA";
  private static final Duration AUTHORITY_LASTS = Duration.ofDays(3650);

  /** Browsers take no longer one. */
  private static final Duration CERTIFICATE_LASTS = Duration.ofDays(397);

  private static final Duration RENEWED_BEFORE = Duration.ofDays(30);
  private static final Duration CLOCKS_DIFFER = Duration.ofHours(24);
  private static final int SERIAL_BITS = 120;
  private static final Pattern ADDRESS = Pattern.compile("\\d{1,3}(\\.\\d{1,3}){3}");

  private final Path folder;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  /** The authority in this folder, which is made where it is not there. */
  public ShopAuthority(Path folder, Clock clock) {
    this.folder = folder;
    this.clock = clock;
  }

  /** The certificate that tablets trust. */
  public Path authority() {
    return folder.resolve("authority.crt");
  }

  private Path authorityKey() {
    return folder.resolve("authority.key");
  }

  /** The certificate of the server. */
  public Path certificate() {
    return folder.resolve("server.crt");
  }

  /** Its key. */
  public Path key() {
    return folder.resolve("server.key");
  }

  /**
   * Makes what is missing, runs out within a month, or does not name all of {@code names}.
   *
   * @param shop what the authority is called
   * @param names names and addresses under which the server is reached
   * @return whether the certificate of the server is a new one
   */
  public boolean prepare(String shop, Collection<String> names)
      throws IOException, GeneralSecurityException {
    Files.createDirectories(folder);
    if (!Files.exists(authority()) || !Files.exists(authorityKey()) || runsOut(authority())) {
      makeAuthority(shop);
      Files.deleteIfExists(certificate());
    }
    if (Files.exists(certificate()) && !runsOut(certificate()) && named().containsAll(names)) {
      return false;
    }
    makeCertificate(names);
    return true;
  }

  private boolean runsOut(Path file) throws IOException, GeneralSecurityException {
    return clock.instant().plus(RENEWED_BEFORE).isAfter(read(file).getNotAfter().toInstant());
  }

  /** The names and addresses in the certificate of the server. */
  public Set<String> named() throws IOException, GeneralSecurityException {
    Set<String> names = new TreeSet<>();
    Collection<List<?>> all = read(certificate()).getSubjectAlternativeNames();
    if (all != null) {
      all.forEach(n -> names.add(String.valueOf(n.get(1))));
    }
    return names;
  }

  /** The SHA-256 of the authority's certificate as people compare it: pairs of digits. */
  public String fingerprint() throws IOException, GeneralSecurityException {
    return HexFormat.ofDelimiter(" ")
        .withUpperCase()
        .formatHex(DigestUtils.sha256(read(authority()).getEncoded()));
  }

  private void makeAuthority(String shop) throws IOException, GeneralSecurityException {
    KeyPair keys = keys();
    X500Name name = new X500Name("CN=" + plain(shop) + " pump shop authority");
    JcaX509v3CertificateBuilder certificate = begun(name, name, keys, AUTHORITY_LASTS);
    try {
      certificate.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
      certificate.addExtension(
          Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign));
      certificate.addExtension(
          Extension.subjectKeyIdentifier,
          false,
          new JcaX509ExtensionUtils().createSubjectKeyIdentifier(keys.getPublic()));
      write(authorityKey(), keys.getPrivate(), true);
      write(authority(), signed(certificate, keys.getPrivate()), false);
    } catch (OperatorCreationException e) {
      throw new GeneralSecurityException(e);
    }
  }

  private void makeCertificate(Collection<String> names)
      throws IOException, GeneralSecurityException {
    X509Certificate issuer = read(authority());
    KeyPair keys = keys();
    String first = names.stream().findFirst().orElse("localhost");
    JcaX509v3CertificateBuilder certificate =
        begun(
            new X500Name(issuer.getSubjectX500Principal().getName()),
            new X500Name("CN=" + plain(first)),
            keys,
            CERTIFICATE_LASTS);
    try {
      certificate.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
      certificate.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
      certificate.addExtension(
          Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
      certificate.addExtension(
          Extension.authorityKeyIdentifier,
          false,
          new JcaX509ExtensionUtils().createAuthorityKeyIdentifier(issuer));
      List<GeneralName> all = new ArrayList<>();
      for (String name : new TreeSet<>(names)) {
        boolean address = ADDRESS.matcher(name).matches();
        all.add(new GeneralName(address ? GeneralName.iPAddress : GeneralName.dNSName, name));
      }
      certificate.addExtension(
          Extension.subjectAlternativeName,
          false,
          new GeneralNames(all.toArray(new GeneralName[0])));
      write(key(), keys.getPrivate(), true);
      write(certificate(), signed(certificate, readKey()), false);
    } catch (OperatorCreationException e) {
      throw new GeneralSecurityException(e);
    }
  }

  private KeyPair keys() throws GeneralSecurityException {
    KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
    generator.initialize(new ECGenParameterSpec(CURVE), random);
    return generator.generateKeyPair();
  }

  private JcaX509v3CertificateBuilder begun(
      X500Name issuer, X500Name subject, KeyPair keys, Duration lasts) {
    Instant now = clock.instant();
    return new JcaX509v3CertificateBuilder(
        issuer,
        new BigInteger(SERIAL_BITS, random).add(BigInteger.ONE),
        Date.from(now.minus(CLOCKS_DIFFER)),
        Date.from(now.plus(lasts).minus(CLOCKS_DIFFER)),
        subject,
        keys.getPublic());
  }

  private static X509Certificate signed(JcaX509v3CertificateBuilder certificate, PrivateKey with)
      throws OperatorCreationException, GeneralSecurityException {
    ContentSigner signer = new JcaContentSignerBuilder(SIGNED_WITH).build(with);
    return new JcaX509CertificateConverter().getCertificate(certificate.build(signer));
  }

  private static X509Certificate read(Path file) throws IOException, GeneralSecurityException {
    try (Reader text = Files.newBufferedReader(file);
        PEMParser pem = new PEMParser(text)) {
      return new JcaX509CertificateConverter()
          .getCertificate((X509CertificateHolder) pem.readObject());
    }
  }

  private PrivateKey readKey() throws IOException {
    try (Reader text = Files.newBufferedReader(authorityKey());
        PEMParser pem = new PEMParser(text)) {
      return new JcaPEMKeyConverter().getPrivateKey((PrivateKeyInfo) pem.readObject());
    }
  }

  /**
   * Keys are for the owner of the folder only, from the first byte on. Written beside and moved:
   * who is killed in the middle leaves no half of one.
   */
  private static void write(Path file, Object what, boolean secret) throws IOException {
    Path beside = file.resolveSibling(file.getFileName() + ".new");
    Files.deleteIfExists(beside);
    if (secret && file.getFileSystem().supportedFileAttributeViews().contains("posix")) {
      Files.createFile(
          beside,
          PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
    }
    try (Writer text = Files.newBufferedWriter(beside);
        JcaPEMWriter pem = new JcaPEMWriter(text)) {
      pem.writeObject(what instanceof PrivateKey key ? new JcaPKCS8Generator(key, null) : what);
    }
    Files.move(beside, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
  }

  /** A name that needs no quoting in a distinguished name. */
  private static String plain(String name) {
    return name.replaceAll("[^\\p{L}\\p{N} .-]", " ").strip().toLowerCase(Locale.ROOT);
  }
}
