package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Cookie;

/** A tablet of the school: over plain http it is told how to trust the server, and then a lesson runs encrypted, also when the network is gone. */
@Tag("long")
class EncryptedJourneyTest {

    private final HttpClient client = HttpClient.newHttpClient();

    @Test
    void a_tablet_comes_to_trust_the_server_and_reloads_a_running_lesson_without_it()
            throws IOException, InterruptedException {
        try (MarbleServer server = new MarbleServer(true).encrypted().start()) {
            String outside = "http://" + own() + ":" + server.port();
            HttpResponse<String> plain = get(outside + "/plan");
            assertThat(plain.statusCode()).isEqualTo(302);
            assertThat(plain.headers().firstValue("Location").orElseThrow()).endsWith("/trust");
            HttpResponse<String> refused = get(outside + "/api/session");
            assertThat(refused.statusCode()).isEqualTo(403);
            assertThat(refused.body()).contains("only an encrypted connection");
            assertThat(get(outside + "/actuator/health").statusCode()).isEqualTo(302);

            Path home = Files.createTempDirectory("marble-tablet");
            try (Browser stranger = new Browser().at(outside)) {
                stranger.open("/");
                stranger.seeText("Before you begin on this device");
                assertThat(stranger.see("ol").getText())
                        .contains("unruly-marble.crt", "https://" + own() + ":" + server.httpsPort());
            }
            HttpResponse<String> file = get(outside + "/api/trust/unruly-marble.crt");
            assertThat(file.statusCode()).isEqualTo(200);
            trust(home, Files.writeString(home.resolve("unruly-marble.crt"), file.body()));

            // The name that the machine has, wherever it is looked up.
            String host = InetAddress.getLocalHost().getHostName().toLowerCase(java.util.Locale.ROOT);
            try (Browser tablet = new Browser(
                            Map.of("HOME", home.toString()), "--host-resolver-rules=MAP " + host + " 127.0.0.1")
                    .at("https://" + host + ":" + server.httpsPort())) {
                tablet.signIn("okafor");
                assertThat(tablet.driver().manage().getCookies())
                        .filteredOn(
                                c -> c.getName().equals("MARBLE") || c.getName().equals("XSRF-TOKEN"))
                        .isNotEmpty()
                        .allMatch(Cookie::isSecure);
                tablet.await(
                        "for the page to be kept on the device",
                        d -> tablet.script("return !!(navigator.serviceWorker && navigator.serviceWorker.controller)"));
                tablet.press("Run it");
                tablet.press("Go");
                tablet.see("[role=timer]");
                tablet.seeText("All saved");
                server.kill();
                tablet.driver().navigate().refresh();
                tablet.see("[role=timer]");
                tablet.press("Hold");
                tablet.seeText("kept here");
            }
        }
    }

    private HttpResponse<String> get(String address) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofString());
    }

    /** An address of this machine that others would use. */
    private static String own() throws IOException {
        return NetworkInterface.networkInterfaces()
                .flatMap(NetworkInterface::inetAddresses)
                .filter(a -> a.getAddress().length == 4 && !a.isLoopbackAddress() && !a.isLinkLocalAddress())
                .map(InetAddress::getHostAddress)
                .findFirst()
                .orElseThrow(() -> new AssertionError("this machine has no address of its own"));
    }

    /** Puts the authority into the store of the browser's user, as its settings would. */
    private static void trust(Path home, Path authority) throws IOException, InterruptedException {
        Path store = Files.createDirectories(home.resolve(".pki/nssdb"));
        run("certutil", "-d", "sql:" + store, "-N", "--empty-password");
        run("certutil", "-d", "sql:" + store, "-A", "-t", "C,,", "-n", "school", "-i", authority.toString());
    }

    private static void run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isZero();
    }
}
