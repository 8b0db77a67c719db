package org.unrulymarble.server.tls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.cert.CertPath;
import java.security.cert.CertPathValidator;
import java.security.cert.CertPathValidatorException;
import java.security.cert.CertificateFactory;
import java.security.cert.PKIXParameters;
import java.security.cert.TrustAnchor;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OwnAuthorityTest {

    @TempDir
    private Path data;

    @Test
    void what_it_gives_the_server_is_trusted_under_the_machines_names_and_nothing_else_is() throws Exception {
        OwnAuthority authority = new OwnAuthority(data.resolve("keys"));
        assertThat(authority.ensure(names("loft-laptop"), Instant.now())).isTrue();

        X509Certificate mine = read(authority.certificate());
        validate(authority.server(), mine);
        assertThat(authority.server().getSubjectAlternativeNames().toString())
                .contains("loft-laptop", "loft-laptop.local", "localhost", "198.51.100.7");
        assertThat(Duration.between(
                        Instant.now(), authority.server().getNotAfter().toInstant()))
                .isLessThanOrEqualTo(Duration.ofDays(398));
        try (Stream<Path> files = Files.list(data.resolve("keys"))) {
            assertThat(files)
                    .allSatisfy(f -> assertThat(Files.getPosixFilePermissions(f))
                            .as(f.toString())
                            .isEqualTo(PosixFilePermissions.fromString("rw-------")));
        }
        assertThat(authority.fingerprint()).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");

        X509Certificate stolen = signed(authority, "other.example");
        assertThatThrownBy(() -> validate(stolen, mine))
                .isInstanceOf(CertPathValidatorException.class)
                .hasMessageContaining("name constraints");
    }

    @Test
    @Tag("long")
    void the_certificate_is_renewed_in_time_and_for_another_name_and_the_authority_stays() throws Exception {
        OwnAuthority authority = new OwnAuthority(data.resolve("keys"));
        Instant now = Instant.now();
        authority.ensure(names("loft-laptop"), now);
        X509Certificate first = authority.server();
        byte[] given = Files.readAllBytes(authority.certificate());

        assertThat(authority.ensure(names("loft-laptop"), now.plus(Duration.ofDays(300))))
                .isFalse();
        assertThat(authority.ensure(names("loft-laptop"), now.plus(Duration.ofDays(370))))
                .isTrue();
        assertThat(authority.server().getSerialNumber()).isNotEqualTo(first.getSerialNumber());
        assertThat(authority.ensure(
                        new MachineNames(
                                List.of("loft-laptop", "localhost"), List.of(InetAddress.getByName("10.1.2.3"))),
                        now))
                .as("in another network")
                .isTrue();
        assertThat(Files.readAllBytes(authority.certificate())).isEqualTo(given);
        validate(authority.server(), read(authority.certificate()));
    }

    private static MachineNames names(String host) throws UnknownHostException {
        return new MachineNames(
                List.of(host, host + ".local", "localhost"), List.of(InetAddress.getByName("198.51.100.7")));
    }

    private static void validate(X509Certificate server, X509Certificate authority) throws GeneralSecurityException {
        // The authority lies in the path too: only there Java looks at what it may speak for, as browsers always do.
        CertPath path = CertificateFactory.getInstance("X.509").generateCertPath(List.of(server, authority));
        PKIXParameters how = new PKIXParameters(
                Set.of(new TrustAnchor(authority.getSubjectX500Principal(), authority.getPublicKey(), null)));
        how.setRevocationEnabled(false);
        CertPathValidator.getInstance("PKIX").validate(path, how);
    }

    private static X509Certificate read(Path file) throws IOException, GeneralSecurityException {
        try (InputStream in = Files.newInputStream(file)) {
            return (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
        }
    }

    /** As somebody would do it who got hold of the authority's key. */
    private X509Certificate signed(OwnAuthority authority, String host) throws Exception {
        Path theirs = data.resolve("theirs.p12");
        Path asked = data.resolve("theirs.csr");
        Path given = data.resolve("theirs.crt");
        keytool(
                authority,
                "-genkeypair",
                "-alias",
                "x",
                "-keyalg",
                "EC",
                "-dname",
                "CN=" + host,
                "-storetype",
                "PKCS12",
                "-keystore",
                theirs.toString());
        keytool(authority, "-certreq", "-alias", "x", "-file", asked.toString(), "-keystore", theirs.toString());
        keytool(
                authority,
                "-gencert",
                "-rfc",
                "-alias",
                "authority",
                "-infile",
                asked.toString(),
                "-outfile",
                given.toString(),
                "-ext",
                "san=dns:" + host,
                "-keystore",
                data.resolve("keys/authority.p12").toString());
        return read(given);
    }

    private static void keytool(OwnAuthority authority, String... words) throws Exception {
        String tool = Path.of(System.getProperty("java.home"), "bin", "keytool").toString();
        Process process = new ProcessBuilder(Stream.concat(
                                Stream.of(tool),
                                Stream.concat(Arrays.stream(words), Stream.of("-storepass", authority.password())))
                        .toList())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isZero();
    }
}
