package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.place.Space;
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
    record SpaceDoc(Long version, String name, String surface, Space size) {
        SpaceDoc {
            Checks checks = new Checks()
                    .text("name", name, 40)
                    .text("surface", surface, 30)
                    .required("size", size);
            checks.done();
            checks.range("size.lengthM", size.lengthM(), 0.5, 200)
                    .range("size.widthM", size.widthM(), 0.5, 200)
                    .done();
        }
    }

    record SpaceView(UUID id, long version, String name, String surface, Space size) {}

    @GetMapping
    List<SpaceView> all() {
        return spaces.findAllByOrderByName().stream().map(SpaceController::view).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SpaceView create(@RequestBody SpaceDoc doc) {
        access.onlyTeachers();
        return view(
                spaces.saveAndFlush(new SpaceRow(UUID.randomUUID(), doc.name().strip(), doc.surface(), doc.size())));
    }

    @PutMapping("/{id}")
    SpaceView change(@PathVariable UUID id, @RequestBody SpaceDoc doc) {
        access.onlyTeachers();
        SpaceRow known = spaces.findById(id).orElseThrow(NotFound::new);
        Stale.unless(known.version(), doc.version());
        known.change(doc.name().strip(), doc.surface(), doc.size());
        return view(spaces.saveAndFlush(known));
    }

    private static SpaceView view(SpaceRow s) {
        return new SpaceView(s.id(), s.version(), s.name(), s.surface(), s.size());
    }
}
