package org.unrulymarble.server.disk;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether there is room, for whoever is signed in. */
@RestController
@RequestMapping("/api/disk")
class DiskController {

    private final DiskRoom room;

    DiskController(DiskRoom room) {
        this.room = room;
    }

    @GetMapping
    DiskRoom.DiskState room() {
        return room.now();
    }
}
