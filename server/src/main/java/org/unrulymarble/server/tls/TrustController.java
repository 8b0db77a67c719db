package org.unrulymarble.server.tls;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.platform.FileAnswer;
import org.unrulymarble.server.platform.NotFound;

/** What a device needs so as to trust this machine; nothing of it is secret. */
@RestController
@RequestMapping("/api/trust")
class TrustController {

    private final Https https;

    TrustController(Https https) {
        this.https = https;
    }

    /**
     * @param addresses where to open the application then, best first; empty where the connection is not encrypted here
     * @param fingerprint of the authority, or null where the school has a certificate of its own
     */
    record Trust(List<String> addresses, String fingerprint) {}

    @GetMapping
    Trust trust() throws IOException {
        boolean own = https.isOn() && !https.isSchools();
        return new Trust(https.addresses(), own ? https.authority().fingerprint() : null);
    }

    /** The authority's certificate, for the device's settings. */
    @GetMapping("/unruly-marble.crt")
    void certificate(HttpServletResponse response) throws IOException {
        if (!https.isOn() || https.isSchools()) throw new NotFound();
        FileAnswer.begin(response, "unruly-marble.crt", "application/x-x509-ca-cert");
        response.getOutputStream().write(Files.readAllBytes(https.authority().certificate()));
    }
}
