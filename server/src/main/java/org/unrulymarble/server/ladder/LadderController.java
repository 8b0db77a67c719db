package org.unrulymarble.server.ladder;

import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.place.Footprint;

@RestController
@RequestMapping("/api/ladders")
class LadderController {

    private final Catalogue catalogue;

    LadderController(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    @GetMapping
    List<Ladder> all() {
        return catalogue.all();
    }

    /** The floor that a ladder's tasks take, and how its crew splits: {@code workingAtOnce} of {@code perSpot}. */
    record LadderFootprint(String ladderId, String name, Footprint footprint, int perSpot, int workingAtOnce) {}

    @GetMapping("/footprints")
    List<LadderFootprint> footprints() {
        return catalogue.all().stream()
                .map(l -> new LadderFootprint(l.id(), l.name(), l.footprint(), l.perSpot(), l.workingAtOnce()))
                .toList();
    }

    @Configuration
    static class Shipped {
        /** A bad ladder file stops the start, with file, ladder, field and reason. */
        @Bean
        Catalogue catalogue() {
            return Catalogue.shipped();
        }
    }
}
