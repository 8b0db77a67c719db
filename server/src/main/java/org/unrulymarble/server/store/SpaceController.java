package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.platform.InUse;

@RestController
@RequestMapping("/api/spaces")
class SpaceController {

    private final SpaceService spaces;

    SpaceController(SpaceService spaces) {
        this.spaces = spaces;
    }

    @GetMapping
    List<SpaceService.SpaceView> all() {
        return spaces.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SpaceService.SpaceView create(@RequestBody SpaceService.SpaceDoc doc) {
        return spaces.create(doc);
    }

    @PutMapping("/{id}")
    SpaceService.SpaceView change(@PathVariable UUID id, @RequestBody SpaceService.SpaceDoc doc) {
        return spaces.change(id, doc);
    }

    /** @throws InUse while lessons are planned there */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        spaces.remove(id);
    }
}
