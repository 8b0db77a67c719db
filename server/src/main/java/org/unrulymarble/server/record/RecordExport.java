package org.unrulymarble.server.record;

import jakarta.persistence.EntityManager;
import java.util.Iterator;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.server.platform.Erased;
import org.unrulymarble.server.platform.Exported;

/** The record for an export. */
@Configuration
class RecordExport {

    @Bean
    Exported correctionsOut(CorrectionRows rows) {
        return Exported.ofClass(
                "corrections",
                (classId, row) ->
                        rows.findByClassIdOrderByCorrectedAtAsc(classId).forEach(r -> row.accept(r.told())),
                (pupilId, row) ->
                        rows.findByPupilIdOrderByCorrectedAtAsc(pupilId).forEach(r -> row.accept(r.told())));
    }

    @Bean
    Exported standingsOut(StandingRows rows) {
        return Exported.ofClass(
                "standings",
                (classId, row) -> rows.findByClassIdOrderBySaidAtAsc(classId).forEach(r -> row.accept(r.standing())),
                (pupilId, row) -> rows.findByPupilIdOrderBySaidAtAsc(pupilId).forEach(r -> row.accept(r.standing())));
    }

    @Bean
    Exported remarksOut(RemarkRows rows) {
        return Exported.ofClass(
                "remarks",
                (classId, row) -> rows.findByClassIdOrderByOnDayAsc(classId).forEach(r -> row.accept(r.remark())),
                (pupilId, row) -> rows.findByPupilIdOrderByOnDayAsc(pupilId).forEach(r -> row.accept(r.remark())));
    }

    @Bean
    Exported readinessOut(AdviceService advice) {
        return Exported.ofClass(
                "readiness",
                (classId, row) -> row.accept(advice.readiness(classId).readiness()),
                (pupilId, row) -> {});
    }

    /** Attempts one after the other, and what goes with a pupil; the rows themselves go with the pupil's own. */
    @Component
    @Transactional(readOnly = true)
    static class Attempts implements Exported, Erased {

        private final AttemptRows rows;
        private final CorrectionRows corrections;
        private final StandingRows standings;
        private final RemarkRows remarks;
        private final EntityManager store;

        Attempts(
                AttemptRows rows,
                CorrectionRows corrections,
                StandingRows standings,
                RemarkRows remarks,
                EntityManager store) {
            this.rows = rows;
            this.corrections = corrections;
            this.standings = standings;
            this.remarks = remarks;
            this.store = store;
        }

        /** @param struck that it never was, as somebody said */
        private record AttemptOut(Attempt attempt, UUID runId, boolean struck) {}

        @Override
        public String name() {
            return "attempts";
        }

        @Override
        public void ofClass(UUID classId, Consumer<Object> row) {
            tell(rows.streamByClassIdOrderByOnDayAscSetNumberAscIdAsc(classId), row);
        }

        @Override
        public void ofPupil(UUID pupilId, Consumer<Object> row) {
            tell(rows.streamByPupilIdOrderByOnDayAscSetNumberAscIdAsc(pupilId), row);
        }

        private void tell(Stream<AttemptRow> all, Consumer<Object> row) {
            try (all) {
                int told = 0;
                for (Iterator<AttemptRow> each = all.iterator(); each.hasNext(); ) {
                    AttemptRow a = each.next();
                    row.accept(new AttemptOut(a.attempt(), a.runId(), a.struck()));
                    if (++told % ResultsOut.HELD == 0) store.clear();
                }
            }
        }

        @Override
        public Map<String, Long> kept(Set<UUID> classIds, UUID pupilId, String name) {
            return Map.of(
                    "rounds", rows.countByPupilId(pupilId),
                    "corrections", corrections.countByPupilId(pupilId),
                    "standings", standings.countByPupilId(pupilId),
                    "remarks", remarks.countByPupilId(pupilId));
        }

        @Override
        public void erase(Set<UUID> classIds, UUID pupilId, String name) {
            // They hang on the pupil's row and go with it; results shared with others stay joint ones with nobody in
            // that place.
        }
    }
}
