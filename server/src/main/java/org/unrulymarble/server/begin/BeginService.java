package org.unrulymarble.server.begin;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.kit.Cupboard;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.server.lesson.LessonDoc;
import org.unrulymarble.server.lesson.LessonProposals;
import org.unrulymarble.server.lesson.LessonService;
import org.unrulymarble.server.store.FirstStore;

/** From three answers to a lesson that can be run. */
@Service
class BeginService {

    private final FirstStore store;
    private final LessonService lessons;
    private final LessonProposals proposals;
    private final TransactionTemplate atOnce;

    BeginService(FirstStore store, LessonService lessons, LessonProposals proposals, TransactionTemplate atOnce) {
        this.store = store;
        this.lessons = lessons;
        this.proposals = proposals;
        this.atOnce = atOnce;
    }

    /**
     * @param kit what is in the cupboard, if anything is said of it
     * @param lesson of which minutes and rules are kept; its blocks are proposed
     */
    record Beginning(
            FirstStore.NewClass schoolClass,
            Where where,
            List<Cupboard.Counted> kit,
            String lessonName,
            LocalDate onDay,
            Lesson lesson) {
        Beginning {
            kit = kit == null ? List.of() : kit;
            new Checks()
                    .required("schoolClass", schoolClass)
                    .required("where", where)
                    .entries("kit", kit, 0, 200)
                    .text("lessonName", lessonName, 80)
                    .required("onDay", onDay)
                    .required("lesson", lesson)
                    .done();
        }
    }

    /** @param blocks of the lesson; 0 where nothing could be proposed: then it stands there empty */
    record Begun(UUID classId, UUID spaceId, UUID lessonId, int blocks) {}

    Begun begin(Beginning from) {
        // Class, place, cupboard and an empty lesson stand before the proposal is worked out, which takes its time.
        Begun empty = atOnce.execute(status -> {
            UUID classId = store.make(from.schoolClass());
            UUID spaceId = from.where().spaceId(store);
            store.put(from.kit());
            LessonDoc doc = doc(from, null, classId, spaceId, from.lesson().withBlocks(List.of()));
            return new Begun(classId, spaceId, lessons.create(doc).known().id(), 0);
        });
        NextLesson proposed =
                proposals.propose(empty.lessonId(), from.lesson(), new NextLesson.Wishes(null, null, null), true);
        if (proposed.lesson() == null) return empty;
        long version = lessons.see(empty.lessonId()).version();
        lessons.change(empty.lessonId(), doc(from, version, empty.classId(), empty.spaceId(), proposed.lesson()));
        return new Begun(
                empty.classId(),
                empty.spaceId(),
                empty.lessonId(),
                proposed.lesson().blocks().size());
    }

    private static LessonDoc doc(Beginning from, Long version, UUID classId, UUID spaceId, Lesson lesson) {
        return new LessonDoc(version, classId, spaceId, from.lessonName(), from.onDay(), lesson);
    }
}
