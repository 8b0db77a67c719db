package org.unrulymarble.server.tls;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;

/**
 * The machine's own authority and the certificate that it gives the server, made with the JDK's keytool and kept where this account alone can read. The
 * certificate is made anew before it ends and when the machine is called otherwise; the authority, which devices trust, stays.
 */
final class OwnAuthority {

    private static final int AUTHORITY_DAYS = 3650;
    /** Browsers take no longer ones. */
    private static final int SERVER_DAYS = 397;

    private static final Duration RENEW_BEFORE = Duration.ofDays(30);
    private static final String AUTHORITY = "authority";
    private static final String SERVER = "server";

    private final Path folder;

    OwnAuthority(Path folder) {
        this.folder = folder;
    }

    /** Key and certificate of the server, as PKCS#12. */
    Path keys() {
        return folder.resolve("server.p12");
    }

    /** What a device is given so as to trust this machine; no secret. */
    Path certificate() {
        return folder.resolve("authority.crt");
    }

    String password() throws IOException {
        return Files.readString(folder.resolve("password")).strip();
    }

    /** Makes what is missing, ends soon or does not fit. @return whether the server has another certificate than before */
    boolean ensure(MachineNames names, Instant now) throws IOException {
        ownFolder();
        if (!Files.exists(folder.resolve("password"))) newPassword();
        if (!Files.exists(authorityKeys())) newAuthority(names);
        if (Files.exists(keys()) && fits(names, now)) return false;
        newServer(names);
        return true;
    }

    /** The authority's fingerprint, to compare by eye. */
    String fingerprint() throws IOException {
        try {
            X509Certificate mine = (X509Certificate) open(authorityKeys()).getCertificate(AUTHORITY);
            byte[] digest = java.security.MessageDigest.getInstance("SHA-256").digest(mine.getEncoded());
            return HexFormat.ofDelimiter(":").withUpperCase().formatHex(digest);
        } catch (GeneralSecurityException e) {
            throw new IOException("the authority cannot be read", e);
        }
    }

    X509Certificate server() throws IOException {
        try {
            return (X509Certificate) open(keys()).getCertificate(SERVER);
        } catch (GeneralSecurityException e) {
            throw new IOException("the certificate cannot be read", e);
        }
    }

    private Path authorityKeys() {
        return folder.resolve("authority.p12");
    }

    private boolean fits(MachineNames names, Instant now) throws IOException {
        try {
            X509Certificate there = server();
            Collection<List<?>> told = there.getSubjectAlternativeNames();
            TreeSet<String> covered = new TreeSet<>();
            for (List<?> name : told == null ? List.<List<?>>of() : told)
                covered.add(name.get(1).toString());
            boolean all = covered.containsAll(names.hosts())
                    && names.addresses().stream()
                            .filter(a -> a.getAddress().length == 4)
                            .allMatch(a -> covered.contains(a.getHostAddress()));
            return all && there.getNotAfter().toInstant().isAfter(now.plus(RENEW_BEFORE));
        } catch (GeneralSecurityException e) {
            return false;
        }
    }

    private void newAuthority(MachineNames names) throws IOException {
        String name = names.hosts().get(0);
        keytool(
                "-genkeypair",
                "-alias",
                AUTHORITY,
                "-keyalg",
                "EC",
                "-groupname",
                "secp256r1",
                "-dname",
                "CN=Unruly Marble on " + name,
                "-validity",
                "" + AUTHORITY_DAYS,
                "-ext",
                "bc:critical=ca:true,pathlen:0",
                "-ext",
                "ku:critical=keyCertSign,cRLSign",
                "-ext",
                "2.5.29.30:critical=" + NameConstraint.hex(names),
                "-storetype",
                "PKCS12",
                "-keystore",
                authorityKeys().toString());
        keytool(
                "-exportcert",
                "-rfc",
                "-alias",
                AUTHORITY,
                "-file",
                certificate().toString(),
                "-keystore",
                authorityKeys().toString());
        own(authorityKeys());
        own(certificate());
    }

    private void newServer(MachineNames names) throws IOException {
        Path fresh = folder.resolve("server-new.p12");
        Path asked = folder.resolve("server.csr");
        Path given = folder.resolve("server.crt");
        for (Path p : List.of(fresh, asked, given)) Files.deleteIfExists(p);
        String keystore = fresh.toString();
        keytool(
                "-genkeypair",
                "-alias",
                SERVER,
                "-keyalg",
                "EC",
                "-groupname",
                "secp256r1",
                "-dname",
                "CN=" + names.hosts().get(0),
                "-validity",
                "" + SERVER_DAYS,
                "-storetype",
                "PKCS12",
                "-keystore",
                keystore);
        own(fresh);
        keytool("-certreq", "-alias", SERVER, "-file", asked.toString(), "-keystore", keystore);
        keytool(
                "-gencert",
                "-rfc",
                "-alias",
                AUTHORITY,
                "-infile",
                asked.toString(),
                "-outfile",
                given.toString(),
                "-validity",
                "" + SERVER_DAYS,
                "-ext",
                "san=" + names.san(),
                "-ext",
                "ku:critical=digitalSignature",
                "-ext",
                "eku=serverAuth",
                "-keystore",
                authorityKeys().toString());
        keytool(
                "-importcert",
                "-noprompt",
                "-alias",
                AUTHORITY,
                "-file",
                certificate().toString(),
                "-keystore",
                keystore);
        keytool("-importcert", "-noprompt", "-alias", SERVER, "-file", given.toString(), "-keystore", keystore);
        Files.move(fresh, keys(), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        for (Path p : List.of(asked, given)) Files.deleteIfExists(p);
    }

    private KeyStore open(Path file) throws IOException, GeneralSecurityException {
        KeyStore keys = KeyStore.getInstance("PKCS12");
        try (java.io.InputStream in = Files.newInputStream(file)) {
            keys.load(in, password().toCharArray());
        }
        return keys;
    }

    /** The password goes by a file, which no list of processes shows. */
    private void keytool(String... words) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "keytool").toString());
        // Each call is a machine of its own, which need not think about the future.
        command.add("-J-XX:TieredStopAtLevel=1");
        command.addAll(List.of(words));
        command.addAll(List.of("-storepass:file", folder.resolve("password").toString()));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        try {
            if (!process.waitFor(1, TimeUnit.MINUTES) || process.exitValue() != 0)
                throw new IOException("keytool " + words[0] + " did not work: " + said);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
    }

    private void newPassword() throws IOException {
        byte[] secret = new byte[24];
        new SecureRandom().nextBytes(secret);
        Path file = folder.resolve("password");
        Files.createFile(file);
        own(file);
        Files.writeString(file, HexFormat.of().formatHex(secret));
    }

    private void ownFolder() throws IOException {
        if (Files.isDirectory(folder)) return;
        Files.createDirectories(folder);
        if (posix()) Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
    }

    private void own(Path file) throws IOException {
        if (posix()) Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
    }

    private boolean posix() {
        return folder.getFileSystem().supportedFileAttributeViews().contains("posix");
    }
}
