package org.unrulymarble.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.web.util.matcher.IpAddressMatcher;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** From where a request comes: what a trusted proxy says of it, else the machine that is connected. */
@Component
public class ClientAddress {

    private static final int LONGEST = 60;

    private final List<IpAddressMatcher> proxies;

    /** @param trusted addresses or networks of the school's own proxies, such as 10.0.0.0/8; what others say in X-Forwarded-For is not believed */
    ClientAddress(@Value("${marble.trusted-proxies:}") List<String> trusted) {
        this.proxies = trusted.stream()
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .map(IpAddressMatcher::new)
                .toList();
    }

    public String of(HttpServletRequest request) {
        String address = request.getRemoteAddr();
        String told = request.getHeader("X-Forwarded-For");
        if (told == null || !isProxy(address)) return address;
        List<String> way = Arrays.stream(told.split(",")).map(String::strip).toList();
        // From the last hop back: the first that is no proxy of the school's is who asks.
        for (int i = way.size() - 1; i >= 0; i--) {
            String hop = way.get(i);
            if (hop.isEmpty() || hop.length() > LONGEST) return address;
            if (!isProxy(hop)) return hop;
            address = hop;
        }
        return address;
    }

    /** Whether one of the school's own proxies passed it on. */
    public boolean isFromProxy(HttpServletRequest request) {
        return isProxy(request.getRemoteAddr());
    }

    /** Of the present request, or null outside of any. */
    public String now() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here
                ? of(here.getRequest())
                : null;
    }

    /** Whether it is one of the school's own proxies, behind whose address everybody has the same. */
    public boolean isProxy(String address) {
        try {
            return proxies.stream().anyMatch(p -> p.matches(address));
        } catch (IllegalArgumentException e) {
            // No address at all.
            return false;
        }
    }
}
