package org.unrulymarble.core.plan;

import java.util.List;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.rotation.Company;

/** All that a lesson is planned for: where, for whom, with what. */
public record Setting(
        Place place,
        List<PlanPupil> pupils,
        Kit kit,
        Catalogue catalogue,
        Planning planning,
        Standings standings,
        Company company) {
    public Setting {
        pupils = List.copyOf(pupils);
    }

    /** Anybody goes with anybody. */
    public Setting(
            Place place, List<PlanPupil> pupils, Kit kit, Catalogue catalogue, Planning planning, Standings standings) {
        this(place, pupils, kit, catalogue, planning, standings, Company.ANY);
    }

    public Setting in(Place other) {
        return new Setting(other, pupils, kit, catalogue, planning, standings, company);
    }

    public Setting with(Kit other) {
        return new Setting(place, pupils, other, catalogue, planning, standings, company);
    }

    public Setting of(List<PlanPupil> others) {
        return new Setting(place, others, kit, catalogue, planning, standings, company);
    }

    public Setting knowing(Standings others) {
        return new Setting(place, pupils, kit, catalogue, planning, others, company);
    }

    public Setting among(Company others) {
        return new Setting(place, pupils, kit, catalogue, planning, standings, others);
    }
}
