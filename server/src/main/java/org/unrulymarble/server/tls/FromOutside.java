package org.unrulymarble.server.tls;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.unrulymarble.server.platform.ClientAddress;
import org.unrulymarble.server.platform.ProblemWriter;

/** Over a plain connection from another machine one page answers: how a device comes to trust this one. What a school's own proxy passes on is as encrypted as it says. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class FromOutside extends OncePerRequestFilter {

    private static final String PAGE = "/trust";
    /** What the page is made of. */
    private static final List<String> ITS_PARTS = List.of("/assets/", "/api/trust", "/marble.svg", "/favicon");

    private final Https https;
    private final ClientAddress address;
    private final ProblemWriter problems;

    FromOutside(Https https, ClientAddress address, ProblemWriter problems) {
        this.https = https;
        this.address = address;
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        boolean encrypted = request.isSecure()
                || address.isFromProxy(request) && "https".equalsIgnoreCase(request.getHeader("X-Forwarded-Proto"));
        if (encrypted) next.doFilter(request.isSecure() ? request : new Encrypted(request), response);
        else if (!https.isOn() || isHere(request) || isPage(request)) next.doFilter(request, response);
        else if (request.getRequestURI().startsWith("/api/"))
            problems.write(response, HttpStatus.FORBIDDEN, "not-encrypted");
        else response.sendRedirect(PAGE);
    }

    private static boolean isPage(HttpServletRequest request) {
        String path = request.getRequestURI();
        return path.equals(PAGE) || ITS_PARTS.stream().anyMatch(path::startsWith);
    }

    private static boolean isHere(HttpServletRequest request) {
        try {
            return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    /** As it was before the school's proxy took the encryption off: cookies are for encrypted connections only. */
    private static final class Encrypted extends HttpServletRequestWrapper {
        Encrypted(HttpServletRequest request) {
            super(request);
        }

        @Override
        public boolean isSecure() {
            return true;
        }

        @Override
        public String getScheme() {
            return "https";
        }
    }
}
