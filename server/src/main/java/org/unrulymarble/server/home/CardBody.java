package org.unrulymarble.server.home;

import java.util.List;
import org.unrulymarble.core.home.HomePractice;

/** What a card holds, as it is kept. Format version 1: docs/formats.md. */
public record CardBody(int version, List<HomePractice> practices) {

    static final int VERSION = 1;

    public CardBody {
        practices = List.copyOf(practices);
    }

    HomePractice practice(int fromOne) {
        return practices.get(fromOne - 1);
    }
}
