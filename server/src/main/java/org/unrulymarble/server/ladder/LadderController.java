package org.unrulymarble.server.ladder;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.ladder.Aspect;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Search;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.server.platform.NotFound;

/** Looking into the catalogue. */
@RestController
@RequestMapping("/api/ladders")
class LadderController {

    private final LadderService ladders;

    LadderController(LadderService ladders) {
        this.ladders = ladders;
    }

    /** All that are known, those that were retired among them, as they read with their own figures. */
    @GetMapping
    List<Ladder> all() {
        return ladders.read();
    }

    /** One as it is written: its sentences name their figures. To be copied and changed. */
    @GetMapping("/{id}/written")
    Ladder written(@PathVariable String id) {
        return ladders.catalogue().ladder(id).orElseThrow(NotFound::new);
    }

    /** Ids of what is on offer and wanted, best first. */
    @GetMapping("/search")
    List<String> search(
            @RequestParam(required = false) String words,
            @RequestParam(required = false) String sport,
            @RequestParam(required = false) Family family,
            @RequestParam(required = false) Aspect aspect,
            @RequestParam(required = false) Integer people,
            @RequestParam(required = false) Noise noise) {
        return ladders.search(new Search.Wanted(words, sport, family, aspect, people, noise)).stream()
                .map(Ladder::id)
                .toList();
    }

    /** The floor that a ladder's tasks take, and how its crew splits: {@code workingAtOnce} of {@code perSpot}. */
    record LadderFootprint(String ladderId, String name, Footprint footprint, int perSpot, int workingAtOnce) {}

    @GetMapping("/footprints")
    List<LadderFootprint> footprints() {
        return ladders.catalogue().all().stream()
                .map(l -> new LadderFootprint(l.id(), l.name(), l.footprint(), l.perSpot(), l.workingAtOnce()))
                .toList();
    }
}
