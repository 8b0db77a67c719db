package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.server.platform.InUse;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;

@Service
@Transactional
class SpaceService {

    private final Spaces spaces;
    private final ClassAccess access;

    SpaceService(Spaces spaces, ClassAccess access) {
        this.spaces = spaces;
        this.access = access;
    }

    /** @param version of the space that this was made from; null for a new one */
    record SpaceDoc(@Nullable Long version, String name, Place place) {
        SpaceDoc {
            Checks checks = new Checks().text("name", name, 40).required("place", place);
            checks.done();
            checks.range("place.size.lengthM", place.size().lengthM(), 0.5, 200)
                    .range("place.size.widthM", place.size().widthM(), 0.5, 200)
                    .done();
            Space size = place.size();
            checks.that(
                            size.wallIsAtMost(size.longestM()),
                            "place.size.wall.runM",
                            Fault.Rule.RANGE,
                            0,
                            size.longestM())
                    .that(
                            !size.wallIsAtMost(size.longestM()) || size.wallFits(),
                            "place.size.wall.depthM",
                            Fault.Rule.RANGE,
                            0,
                            size.besideWallM())
                    .done();
        }
    }

    record SpaceView(UUID id, long version, String name, Place place) {}

    List<SpaceView> all() {
        return spaces.findAllByOrderByName().stream().map(SpaceService::view).toList();
    }

    SpaceView create(SpaceDoc doc) {
        access.onlyTeachers();
        return view(
                spaces.saveAndFlush(new SpaceRow(UUID.randomUUID(), doc.name().strip(), doc.place())));
    }

    SpaceView change(UUID id, SpaceDoc doc) {
        access.onlyTeachers();
        SpaceRow known = spaces.findById(id).orElseThrow(NotFound::new);
        Stale.unless(known.version(), doc.version());
        known.change(doc.name().strip(), doc.place());
        return view(spaces.saveAndFlush(known));
    }

    /** @throws InUse while lessons are planned there */
    void remove(UUID id) {
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
