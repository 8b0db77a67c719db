package org.unrulymarble.core.plan;

import java.util.List;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.record.Standings;

/** All that a lesson is planned for: where, for whom, with what. */
public record Setting(
        Place place, List<PlanPupil> pupils, Kit kit, Catalogue catalogue, Planning planning, Standings standings) {
    public Setting {
        pupils = List.copyOf(pupils);
    }

    public Setting in(Place other) {
        return new Setting(other, pupils, kit, catalogue, planning, standings);
    }

    public Setting with(Kit other) {
        return new Setting(place, pupils, other, catalogue, planning, standings);
    }

    public Setting of(List<PlanPupil> others) {
        return new Setting(place, others, kit, catalogue, planning, standings);
    }

    public Setting knowing(Standings others) {
        return new Setting(place, pupils, kit, catalogue, planning, others);
    }
}
