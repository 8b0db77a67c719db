package org.unrulymarble.server.store;

import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is kept of one pupil, and taking all of it away. */
@RestController
@RequestMapping("/api/pupils/{id}")
class PupilController {

    private final PupilService pupils;

    PupilController(PupilService pupils) {
        this.pupils = pupils;
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
