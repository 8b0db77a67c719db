package org.unrulymarble.server.lesson;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.place.LayoutProver;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Surface;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.StationLayout;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.propose.Proposer;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.rehearse.Rehearsal;
import org.unrulymarble.server.platform.LongWork;
import org.unrulymarble.server.platform.OwnThread;

/** Proposes lessons and rehearses them, outside any transaction and away from the threads that take taps. */
@Service
public class LessonProposals {

    private static final int WARM_UPS = 3;
    private static final int USUAL_CLASS = 24;
    private static final int USUAL_MIN = 40;
    private static final int MANY = 30;
    private static final Place ROOM = new Place(
            new Space(12.0, 8.0, 4.0, new Wall(12.0, 8.0)),
            Surface.WOOD,
            Place.Wet.NEVER,
            false,
            false,
            false,
            false,
            false,
            false,
            List.of());

    private final LessonService lessons;
    private final Proposer proposer;
    private final LongWork longWork;
    private final LayoutProver layouts;
    private final Planning planning;

    /** A first answer is wanted in half a second: it waits for no long work, and gives way to nobody. */
    private final ExecutorService first = OwnThread.named("proposals-first");

    LessonProposals(
            LessonService lessons, Proposer proposer, LongWork longWork, LayoutProver layouts, Planning planning) {
        this.lessons = lessons;
        this.proposer = proposer;
        this.longWork = longWork;
        this.layouts = layouts;
        this.planning = planning;
    }

    /** The first teacher who asks is not to wait for what a machine learns by doing it: some lessons are proposed to nobody once the server is up. */
    @EventListener(ApplicationReadyEvent.class)
    void warmUp() {
        Kit all = new Kit(
                KitKinds.shipped(),
                KitKinds.shipped().all().stream()
                        .map(k -> new Kit.Held(k, MANY, Kit.Condition.GOOD))
                        .toList(),
                List.of());
        Setting setting =
                new Setting(ROOM, PlanPupil.unknown(USUAL_CLASS), all, Catalogue.shipped(), planning, Standings.NONE);
        Lesson lesson = Lesson.of(USUAL_MIN, Lesson.Audience.CLASS, List.of());
        warmUp(WARM_UPS, lesson, setting);
    }

    /** One after the other, so that whoever asks meanwhile waits for one of them at most. */
    private void warmUp(int times, Lesson lesson, Setting setting) {
        NextLesson.Wishes usual = new NextLesson.Wishes(NextLesson.Wish.AS_USUAL, List.of(), List.of());
        first.execute(() -> {
            NextLesson.propose(lesson, setting, List.of(), usual, proposer::first);
            if (times > 1) warmUp(times - 1, lesson, setting);
        });
    }

    /**
     * @param lesson as it stands on the page: its minutes, start and rules are kept, its blocks are not
     * @param soon whether a good one will do: without tasks side by side, and without proof of how good
     */
    public NextLesson propose(UUID id, Lesson lesson, NextLesson.Wishes wanted, boolean soon) {
        LessonService.ForProposal from = lessons.forProposal(id, lesson);
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
        LessonService.ForProposal from = lessons.forProposal(id, lesson);
        return longWork.await(() -> Rehearsal.of(Rehearsal.RehearsalAsk.usual(lesson, from.setting())));
    }

    /** @param lesson as it stands on the page, saved or not */
    StationLayout lay(UUID id, Lesson lesson, String circuitId) {
        LessonService.ForProposal from = lessons.forProposal(id, lesson);
        return longWork.await(() -> StationLayout.of(lesson, from.setting(), circuitId, layouts));
    }
}
