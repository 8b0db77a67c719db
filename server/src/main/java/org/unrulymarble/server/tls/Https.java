package org.unrulymarble.server.tls;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.security.KeyStore;
import java.time.Clock;
import java.util.List;
import org.eclipse.jetty.server.HttpConfiguration;
import org.eclipse.jetty.server.HttpConnectionFactory;
import org.eclipse.jetty.server.SecureRequestCustomizer;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.server.SslConnectionFactory;
import org.eclipse.jetty.util.ssl.SslContextFactory;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.jetty.servlet.JettyServletWebServerFactory;
import org.springframework.boot.ssl.pem.PemSslStoreBundle;
import org.springframework.boot.ssl.pem.PemSslStoreDetails;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.annotation.Order;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** The encrypted way in, beside the plain one for the machine itself: with the machine's own certificate, or with the school's. */
@Component
@Order(0)
public class Https implements WebServerFactoryCustomizer<JettyServletWebServerFactory> {

    private static final Logger LOG = LoggerFactory.getLogger(Https.class);
    private static final int FIRST_PORT = 8443;
    private static final String HTTP_1_1 = "http/1.1";

    private final boolean on;
    private final String certificate;
    private final String key;
    private final int wantedPort;
    private final OwnAuthority authority;
    private final Clock clock;
    private MachineNames names;
    private final SslContextFactory.Server tls = new SslContextFactory.Server();
    private ServerConnector connector;

    Https(
            @Value("${marble.https}") boolean on,
            @Value("${marble.cert:}") String certificate,
            @Value("${marble.key:}") String key,
            @Value("${marble.https-port:0}") int wantedPort,
            @Value("${marble.data}") Path data,
            Clock clock) {
        this.on = on;
        this.certificate = certificate;
        this.key = key;
        this.wantedPort = wantedPort;
        this.authority = new OwnAuthority(data.toAbsolutePath().resolve("keys"));
        this.clock = clock;
    }

    @Override
    public void customize(JettyServletWebServerFactory factory) {
        if (!on) return;
        names = MachineNames.now();
        tls.setIncludeProtocols("TLSv1.2", "TLSv1.3");
        try {
            if (isSchools()) tls.setKeyStore(schools());
            else {
                authority.ensure(names, clock.instant());
                useOwn(tls);
            }
        } catch (IOException e) {
            throw new IllegalStateException("The certificate could not be made: " + e.getMessage(), e);
        }
        factory.addServerCustomizers(server -> {
            HttpConfiguration config = new HttpConfiguration();
            // By its address too, for which a device sends no name along.
            config.addCustomizer(new SecureRequestCustomizer(false));
            connector = new ServerConnector(
                    server, new SslConnectionFactory(tls, HTTP_1_1), new HttpConnectionFactory(config));
            connector.setPort(wantedPort > 0 ? wantedPort : freePort());
            server.addConnector(connector);
        });
    }

    private void useOwn(SslContextFactory.Server tls) throws IOException {
        tls.setKeyStorePath(authority.keys().toUri().toString());
        tls.setKeyStoreType("PKCS12");
        tls.setKeyStorePassword(authority.password());
        tls.setCertAlias("server");
    }

    private KeyStore schools() throws IOException {
        PemSslStoreDetails pem =
                PemSslStoreDetails.forCertificate(file(certificate)).withPrivateKey(file(key));
        return new PemSslStoreBundle(pem, null).getKeyStore();
    }

    private static String file(String path) {
        return Path.of(path).toAbsolutePath().toUri().toString();
    }

    /** Whether devices in the network are let in by an encrypted connection only. */
    public boolean isOn() {
        return connector != null;
    }

    /** Whether the school's own certificate is used, which every device trusts already. */
    public boolean isSchools() {
        return !certificate.isBlank();
    }

    /** Where devices in the network open the application, best first; empty where it is not encrypted. */
    public List<String> addresses() {
        return connector == null
                ? List.of()
                : names.toType().stream()
                        .map(name -> "https://" + name + ":" + connector.getLocalPort())
                        .toList();
    }

    OwnAuthority authority() {
        return authority;
    }

    /** Before it ends, and when the machine has come into another network. */
    @Scheduled(fixedDelayString = "PT1H", initialDelayString = "PT1H")
    void renew() {
        if (connector == null || isSchools()) return;
        try {
            MachineNames now = MachineNames.now();
            if (!authority.ensure(now, clock.instant())) return;
            names = now;
            useOwn(tls);
            tls.reload(fresh -> {});
        } catch (Exception e) {
            LOG.warn("The certificate could not be renewed: {}", e.getMessage());
        }
    }

    private static int freePort() {
        for (int port = FIRST_PORT; port < FIRST_PORT + 100; port++)
            try (ServerSocket socket = new ServerSocket()) {
                socket.setReuseAddress(true);
                socket.bind(new InetSocketAddress(port));
                return port;
            } catch (IOException taken) {
                // The next one, then.
            }
        return 0;
    }
}
