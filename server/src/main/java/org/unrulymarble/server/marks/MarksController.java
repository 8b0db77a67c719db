package org.unrulymarble.server.marks;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.defaults.Planning;

/** The planning values, by which everything that is not measured is reckoned. */
@RestController
class MarksController {

    private final Planning planning;

    MarksController(Planning planning) {
        this.planning = planning;
    }

    @GetMapping("/api/planning")
    Planning planning() {
        return planning;
    }
}
