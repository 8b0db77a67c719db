package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.server.platform.InUse;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;

@RestController
@RequestMapping("/api/spaces")
@Transactional
class SpaceController {

    private final Spaces spaces;
    private final ClassAccess access;

    SpaceController(Spaces spaces, ClassAccess access) {
        this.spaces = spaces;
        this.access = access;
    }

    /** @param version of the space that this was made from; null for a new one */
    record SpaceDoc(Long version, String name, Place place) {
        SpaceDoc {
            Checks checks = new Checks().text("name", name, 40).required("place", place);
            checks.done();
            checks.range("place.size.lengthM", place.size().lengthM(), 0.5, 200)
                    .range("place.size.widthM", place.size().widthM(), 0.5, 200)
                    .done();
        }
    }

    record SpaceView(UUID id, long version, String name, Place place) {}

    @GetMapping
    List<SpaceView> all() {
        return spaces.findAllByOrderByName().stream().map(SpaceController::view).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SpaceView create(@RequestBody SpaceDoc doc) {
        access.onlyTeachers();
        return view(
                spaces.saveAndFlush(new SpaceRow(UUID.randomUUID(), doc.name().strip(), doc.place())));
    }

    @PutMapping("/{id}")
    SpaceView change(@PathVariable UUID id, @RequestBody SpaceDoc doc) {
        access.onlyTeachers();
        SpaceRow known = spaces.findById(id).orElseThrow(NotFound::new);
        Stale.unless(known.version(), doc.version());
        known.change(doc.name().strip(), doc.place());
        return view(spaces.saveAndFlush(known));
    }

    /** @throws InUse while lessons are planned there */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        access.onlyTeachers();
        SpaceRow known = spaces.findById(id).orElseThrow(NotFound::new);
        long lessons = spaces.lessonsIn(id);
        if (lessons > 0) throw new InUse(lessons);
        spaces.delete(known);
    }

    private static SpaceView view(SpaceRow s) {
        return new SpaceView(s.id(), s.version(), s.name(), s.place());
    }
}
