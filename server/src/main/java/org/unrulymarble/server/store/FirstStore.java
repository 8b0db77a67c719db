package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.kit.Cupboard;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.server.platform.PlainNames;

/** A class, a place and what is in the cupboard, all at once or nothing. */
@Service
@Transactional
public class FirstStore {

    private final ClassService classes;
    private final SpaceService spaces;
    private final KitService kit;

    FirstStore(ClassService classes, SpaceService spaces, KitService kit) {
        this.classes = classes;
        this.spaces = spaces;
        this.kit = kit;
    }

    /** @param pupils 1 to 60 */
    public record NewClass(String name, List<PupilDetails> pupils) {
        public NewClass {
            Checks checks = PlainNames.check(new Checks(), "name", name)
                    .text("name", name, 40)
                    .entries("pupils", pupils, 1, ClassService.MAX_PUPILS);
            checks.done();
            for (int i = 0; i < pupils.size(); i++) {
                String of = "pupils[" + i + "].";
                PlainNames.check(checks, of + "firstName", pupils.get(i).firstName());
                PlainNames.check(checks, of + "initial", pupils.get(i).initial());
            }
            checks.done();
        }
    }

    public record NewSpace(String name, Place place) {}

    public UUID make(NewClass made) {
        return classes.create(new ClassService.ClassDoc(
                        null,
                        made.name(),
                        made.pupils().stream()
                                .map(d -> new ClassService.PupilDoc(null, d))
                                .toList(),
                        null))
                .id();
    }

    public UUID make(NewSpace made) {
        SpaceService.SpaceDoc doc;
        try {
            doc = new SpaceService.SpaceDoc(null, made.name(), made.place());
        } catch (Refused e) {
            throw new Refused(e.faults().stream().map(f -> f.under("where")).toList());
        }
        return spaces.create(doc).id();
    }

    /** Puts into the cupboard what is not in it yet. */
    public void put(List<Cupboard.Counted> counted) {
        kit.fill(counted);
    }
}
