package org.unrulymarble.server.store;

import java.time.LocalDate;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.server.platform.Exported;

/** Pupils, spaces and kit for an export. */
@Configuration
class StoreExport {

    private record PupilOut(UUID id, String name, PupilDetails details, LocalDate leftOn) {
        static PupilOut of(Pupil p) {
            return new PupilOut(p.id(), p.name(), p.details(), p.leftOn());
        }
    }

    private record SpaceOut(UUID id, String name, Place place) {}

    @Bean
    Exported pupilsOut(ClassAccess access, TransactionTemplate within) {
        return Exported.ofClass(
                "pupils",
                (classId, row) -> within.executeWithoutResult(
                        s -> access.see(classId).everybody().forEach(p -> row.accept(PupilOut.of(p)))),
                (pupilId, row) -> within.executeWithoutResult(s -> row.accept(PupilOut.of(access.pupil(pupilId)))));
    }

    @Bean
    Exported spacesOut(Spaces spaces) {
        return Exported.ofSchool(
                "spaces", row -> spaces.findAll().forEach(s -> row.accept(new SpaceOut(s.id(), s.name(), s.place()))));
    }

    @Bean
    Exported kitOut(KitItems items) {
        return Exported.ofSchool("kit", row -> items.findAllByOrderByName().forEach(i -> row.accept(i.held())));
    }

    @Bean
    Exported kitRulesOut(StandIns standIns) {
        return Exported.ofSchool("kitRules", row -> standIns.findAll().forEach(r -> row.accept(r.rule())));
    }
}
