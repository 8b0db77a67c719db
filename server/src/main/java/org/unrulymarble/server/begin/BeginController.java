package org.unrulymarble.server.begin;

import java.util.Arrays;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.kit.Cupboard;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.UsualPlace;

@RestController
@RequestMapping("/api/beginning")
class BeginController {

    private final BeginService begin;

    BeginController(BeginService begin) {
        this.begin = begin;
    }

    /** What to begin from: usual places with their measures, usual cupboards with their counts. */
    record BeginFrom(List<UsualRoom> places, List<Cupboard> cupboards) {}

    record UsualRoom(UsualPlace id, Place place) {}

    @GetMapping
    BeginFrom usual() {
        return new BeginFrom(
                Arrays.stream(UsualPlace.values())
                        .map(u -> new UsualRoom(u, u.place()))
                        .toList(),
                Cupboard.usual());
    }

    /** Makes a class, its place and a proposed lesson. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    BeginService.Begun begin(@RequestBody BeginService.Beginning from) {
        return begin.begin(from);
    }
}
