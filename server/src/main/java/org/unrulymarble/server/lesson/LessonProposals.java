package org.unrulymarble.server.lesson;

import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.stereotype.Service;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.propose.Proposer;

/** Proposes lessons, one at a time and in a thread that lets every tap go first; holds no transaction meanwhile. */
@Service
class LessonProposals {

    private final LessonService lessons;
    private final Proposer proposer;
    private final ExecutorService one = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "proposals");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    LessonProposals(LessonService lessons, Proposer proposer) {
        this.lessons = lessons;
        this.proposer = proposer;
    }

    /** @param lesson as it stands on the page: its minutes, start and rules are kept, its blocks are not */
    NextLesson propose(UUID id, Lesson lesson, NextLesson.Wishes wanted) {
        LessonService.ForProposal from = lessons.forProposal(id);
        try {
            return one.submit(() -> NextLesson.propose(lesson, from.setting(), from.practised(), wanted, proposer))
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
