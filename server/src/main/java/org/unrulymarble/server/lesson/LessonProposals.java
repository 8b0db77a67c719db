package org.unrulymarble.server.lesson;

import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import org.springframework.stereotype.Service;
import org.unrulymarble.core.place.LayoutProver;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.StationLayout;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.propose.Proposer;
import org.unrulymarble.core.rehearse.Rehearsal;
import org.unrulymarble.server.platform.LongWork;
import org.unrulymarble.server.platform.QuietThread;

/** Proposes lessons and rehearses them, outside any transaction and away from the threads that take taps. */
@Service
public class LessonProposals {

    private final LessonService lessons;
    private final Proposer proposer;
    private final LongWork longWork;
    private final LayoutProver layouts;

    /** A first answer is wanted in half a second: it does not wait for long work. */
    private final ExecutorService first = QuietThread.named("proposals-first");

    LessonProposals(LessonService lessons, Proposer proposer, LongWork longWork, LayoutProver layouts) {
        this.lessons = lessons;
        this.proposer = proposer;
        this.longWork = longWork;
        this.layouts = layouts;
    }

    /**
     * @param lesson as it stands on the page: its minutes, start and rules are kept, its blocks are not
     * @param soon whether a good one will do: without tasks side by side, and without proof of how good
     */
    public NextLesson propose(UUID id, Lesson lesson, NextLesson.Wishes wanted, boolean soon) {
        LessonService.ForProposal from = lessons.forProposal(id);
        if (!soon)
            return longWork.await(() ->
                    NextLesson.proposeBeside(lesson, from.setting(), from.practised(), wanted, proposer.proving()));
        try {
            return first.submit(
                            () -> NextLesson.propose(lesson, from.setting(), from.practised(), wanted, proposer::first))
                    .get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while a lesson was being proposed", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw new IllegalStateException(e.getCause());
        }
    }

    /** @param lesson as it stands on the page, saved or not */
    Rehearsal rehearse(UUID id, Lesson lesson) {
        LessonService.ForProposal from = lessons.forProposal(id);
        return longWork.await(() -> Rehearsal.of(Rehearsal.RehearsalAsk.usual(lesson, from.setting())));
    }

    /** @param lesson as it stands on the page, saved or not */
    StationLayout lay(UUID id, Lesson lesson, String circuitId) {
        LessonService.ForProposal from = lessons.forProposal(id);
        return longWork.await(() -> StationLayout.of(lesson, from.setting(), circuitId, layouts));
    }
}
