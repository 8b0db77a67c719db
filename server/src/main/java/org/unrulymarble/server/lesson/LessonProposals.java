package org.unrulymarble.server.lesson;

import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import org.springframework.stereotype.Service;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.propose.Proposer;
import org.unrulymarble.server.platform.QuietThread;

/** Proposes lessons, one at a time and in threads that let every tap go first; holds no transaction meanwhile. */
@Service
public class LessonProposals {

    private final LessonService lessons;
    private final Proposer proposer;

    /** What is wanted soon does not wait behind a proof. */
    private final ExecutorService first = QuietThread.named("proposals-first");

    private final ExecutorService proofs = QuietThread.named("proposals-proof");

    LessonProposals(LessonService lessons, Proposer proposer) {
        this.lessons = lessons;
        this.proposer = proposer;
    }

    /**
     * @param lesson as it stands on the page: its minutes, start and rules are kept, its blocks are not
     * @param soon whether a good one will do: without tasks side by side, and without proof of how good
     */
    public NextLesson propose(UUID id, Lesson lesson, NextLesson.Wishes wanted, boolean soon) {
        NextLesson.Answer how = soon ? proposer::first : proposer::propose;
        LessonService.ForProposal from = lessons.forProposal(id);
        try {
            return (soon ? first : proofs)
                    .submit(() -> soon
                            ? NextLesson.propose(lesson, from.setting(), from.practised(), wanted, how)
                            : NextLesson.proposeBeside(lesson, from.setting(), from.practised(), wanted, how))
                    .get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while a lesson was being proposed", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw new IllegalStateException(e.getCause());
        }
    }
}
