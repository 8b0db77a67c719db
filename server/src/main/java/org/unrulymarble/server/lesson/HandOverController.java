package org.unrulymarble.server.lesson;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.lesson.HandOvers.HandOver;
import org.unrulymarble.server.lesson.HandOvers.HandOverDoc;

/** To whom a lesson is handed, and for which days. */
@RestController
@RequestMapping("/api/lessons/{id}/hand-overs")
class HandOverController {

    private final HandOvers handOvers;

    HandOverController(HandOvers handOvers) {
        this.handOvers = handOvers;
    }

    @GetMapping
    List<HandOver> all(@PathVariable UUID id) {
        return handOvers.of(id);
    }

    @PostMapping
    List<HandOver> give(@PathVariable UUID id, @RequestBody HandOverDoc doc) {
        return handOvers.give(id, doc);
    }

    @DeleteMapping("/{handOverId}")
    List<HandOver> takeBack(@PathVariable UUID id, @PathVariable UUID handOverId) {
        return handOvers.takeBack(id, handOverId);
    }
}
