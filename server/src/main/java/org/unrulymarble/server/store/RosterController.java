package org.unrulymarble.server.store;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.platform.FileAnswer;

/** A class list out as CSV and in again. Nobody is removed by a file: that is done by hand, pupil by pupil. */
@RestController
@RequestMapping("/api/classes/{id}")
class RosterController {

    private final RosterService rosters;

    RosterController(RosterService rosters) {
        this.rosters = rosters;
    }

    @GetMapping("/roster.csv")
    void write(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        FileAnswer.begin(response, rosters.className(id) + " roster.csv");
        rosters.write(id, response.getWriter());
    }

    /** Says what a file would bring, and unless that is all, brings it: all of it or nothing. */
    @PostMapping("/roster")
    RosterService.RosterBrought read(@PathVariable UUID id, @RequestBody RosterService.RosterText file) {
        return rosters.read(id, file);
    }
}
