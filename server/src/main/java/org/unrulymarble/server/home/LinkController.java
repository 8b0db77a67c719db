package org.unrulymarble.server.home;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.platform.ClientAddress;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.TryLimit;

/** A card for whoever has its address: nobody signs in, and nothing else is behind it. */
@RestController
class LinkController {

    private final HomeLinks links;
    private final CardPages pages;
    private final TryLimit limit;
    private final ClientAddress address;

    LinkController(HomeLinks links, CardPages pages, TryLimit limit, ClientAddress address) {
        this.links = links;
        this.pages = pages;
        this.limit = limit;
        this.address = address;
    }

    @GetMapping("/h/{token}")
    void card(@PathVariable String token, HttpServletRequest request, HttpServletResponse response) throws IOException {
        String from = address.of(request) + " card";
        limit.count(from);
        CardsOut.CardOut card = links.behind(token).orElseThrow(NotFound::new);
        limit.giveBack(from);
        response.setContentType("text/html; charset=UTF-8");
        response.setHeader("Content-Security-Policy", CardPages.POLICY);
        response.setHeader("Cache-Control", "no-store");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("X-Robots-Tag", "noindex, nofollow");
        response.getWriter().write(pages.page(card));
    }
}
