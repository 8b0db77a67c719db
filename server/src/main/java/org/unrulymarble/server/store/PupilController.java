package org.unrulymarble.server.store;

import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is kept of one pupil, and taking all of it away. */
@RestController
@RequestMapping("/api/pupils/{id}")
class PupilController {

    private final PupilService pupils;
    private final SchoolYear year;

    PupilController(PupilService pupils, SchoolYear year) {
        this.pupils = pupils;
        this.year = year;
    }

    /** In which class the pupil is, or was. */
    @PutMapping("/place")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void put(@PathVariable UUID id, @RequestBody SchoolYear.PupilPlace place) {
        year.put(id, place);
    }

    @GetMapping("/kept")
    PupilService.KeptOf kept(@PathVariable UUID id) {
        return pupils.kept(id);
    }

    /** Erases the pupil and says what went. */
    @DeleteMapping
    PupilService.Gone erase(@PathVariable UUID id) {
        return pupils.erase(id);
    }
}
