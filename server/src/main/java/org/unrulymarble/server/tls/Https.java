package org.unrulymarble.server.tls;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** The encrypted way in, beside the plain one for the machine itself: with the machine's own certificate, or with the school's. */
@Component
public class Https implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private static final Logger LOG = LoggerFactory.getLogger(Https.class);
    private static final int FIRST_PORT = 8443;

    private final boolean on;
    private final String certificate;
    private final String key;
    private final int wantedPort;
    private final OwnAuthority authority;
    private final Clock clock;
    private MachineNames names;
    private Connector connector;

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
    public void customize(TomcatServletWebServerFactory factory) {
        if (!on) return;
        names = MachineNames.now();
        try {
            SSLHostConfig tls = new SSLHostConfig();
            tls.setProtocols("TLSv1.2+TLSv1.3");
            SSLHostConfigCertificate mine = new SSLHostConfigCertificate(tls, SSLHostConfigCertificate.Type.UNDEFINED);
            if (isSchools()) {
                mine.setCertificateFile(Path.of(certificate).toAbsolutePath().toString());
                mine.setCertificateKeyFile(Path.of(key).toAbsolutePath().toString());
            } else {
                authority.ensure(names, clock.instant());
                mine.setCertificateKeystoreFile(authority.keys().toString());
                mine.setCertificateKeystoreType("PKCS12");
                mine.setCertificateKeystorePassword(authority.password());
                mine.setCertificateKeyAlias("server");
            }
            tls.addCertificate(mine);
            connector = new Connector("org.apache.coyote.http11.Http11NioProtocol");
            connector.setPort(wantedPort > 0 ? wantedPort : freePort());
            connector.setScheme("https");
            connector.setSecure(true);
            connector.setProperty("SSLEnabled", "true");
            connector.addSslHostConfig(tls);
            factory.addAdditionalConnectors(connector);
        } catch (IOException e) {
            throw new IllegalStateException("The certificate could not be made: " + e.getMessage(), e);
        }
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
            ((AbstractHttp11Protocol<?>) connector.getProtocolHandler()).reloadSslHostConfigs();
        } catch (IOException e) {
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
