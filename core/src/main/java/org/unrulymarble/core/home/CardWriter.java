package org.unrulymarble.core.home;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Caution;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.BlockPlan;
import org.unrulymarble.core.plan.Gather;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.PlanPupil;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.plan.Setting;

/** Writes one lesson of one pupil as a practice. */
final class CardWriter {

    /** Twice as fast as the ladder plans, and some: nobody at home is doubted for less. The figures are ours. */
    private static final double FASTEST = 2;

    private static final int MORE = 9;

    private final Setting home;
    private final PlanPupil pupil;
    private final Integer shoeCm;

    CardWriter(Setting home, PlanPupil pupil, Integer shoeCm) {
        this.home = home;
        this.pupil = pupil;
        this.shoeCm = shoeCm;
    }

    HomePractice write(Lesson asked) {
        Lesson lesson = returnable(asked);
        List<Placed> placed = Placed.all(lesson, home);
        LessonPlan plan = LessonPlan.of(lesson, home, placed);
        List<Gather.GatherItem> gather = Gather.of(placed, home).items();
        List<HomePractice.HomeTask> tasks = new ArrayList<>();
        for (int i = 0; i < placed.size(); i++)
            tasks.add(task(placed.get(i), plan.blocks().get(i), gather));
        List<Caution> cautions = placed.stream()
                .flatMap(p -> p.ladder().cautions().stream())
                .distinct()
                .toList();
        return new HomePractice(
                (int) plan.totalSec(),
                gather,
                tasks,
                boxes(placed, plan),
                ScriptWriter.write(lesson, home).segments(),
                cautions);
    }

    /** As many rounds as come back in one code: the longest blocks lose a round first; one that is left with none to spare is done and not counted. */
    private Lesson returnable(Lesson asked) {
        Lesson lesson = asked;
        while (true) {
            List<Placed> placed = Placed.all(lesson, home);
            if (ReturnCode.fits(boxes(placed, LessonPlan.of(lesson, home, placed)).stream()
                    .map(HomePractice.HomeBox::most)
                    .toList())) return lesson;
            Block most = lesson.blocks().stream()
                    .filter(Block::counted)
                    .reduce((a, b) -> b.sets() >= a.sets() ? b : a)
                    .orElseThrow();
            lesson = lesson.change(most.id(), d -> {
                if (d.sets > 1) d.sets--;
                else d.counted = false;
            });
        }
    }

    private List<HomePractice.HomeBox> boxes(List<Placed> placed, LessonPlan plan) {
        List<HomePractice.HomeBox> boxes = new ArrayList<>();
        for (int i = 0; i < placed.size(); i++) {
            Placed p = placed.get(i);
            if (!counts(p)) continue;
            int most = most(p, plan.blocks().get(i).measure());
            for (int round = 1; round <= p.block().sets(); round++)
                for (Side side : p.sides()) boxes.add(new HomePractice.HomeBox(i, round, side, most));
        }
        return boxes;
    }

    /** What a family can count and write down as one whole number. */
    private static boolean counts(Placed p) {
        if (!p.isTask() || !p.block().counted()) return false;
        return switch (p.rung().measure().kind()) {
            case COUNT_IN_TIME, LONGEST_RUN, HELD_FOR_TIME, HITS_OF_N, RINGS, LEVELS, MADE_FROM_SPOTS, FURTHEST -> true;
            case TIME_FOR_N, KEEP_ALL, COURSE_TIME, MATCH, NO_BALLS -> false;
        };
    }

    private static int most(Placed p, Measure measure) {
        int most = measure.most(p.workSec());
        boolean byGoes = measure.byGoes();
        int fast = (int) Math.ceil(FASTEST * p.workSec() / p.rung().pace().hitSec()) + MORE;
        return byGoes || measure.kind() == Measure.Kind.HELD_FOR_TIME ? most : Math.min(most, fast);
    }

    private HomePractice.HomeTask task(Placed p, BlockPlan plan, List<Gather.GatherItem> gather) {
        Ladder ladder = p.ladder();
        Rung rung = p.rung();
        Footprint floor = ladder.footprint(rung);
        return new HomePractice.HomeTask(
                ladder.id(),
                rung.id(),
                ladder.name(),
                ladder.numberOf(rung.id()) + 1,
                ladder.rungs().size(),
                plan.words(),
                otherwise(ladder),
                ladder.cues(),
                ladder.eyes(),
                with(p, gather),
                instead(p, gather),
                p.block().sets(),
                p.workSec(),
                p.reps() != null,
                p.reps(),
                p.block().rest() == Block.Rest.NONE ? 0 : p.block().restSec(),
                p.sides(),
                counts(p),
                plan.measure(),
                plan.standM(),
                shoes(plan.standM()),
                floor.lengthM(),
                floor.widthM(),
                shoes(floor.lengthM()),
                shoes(floor.widthM()),
                floor.needsWall(),
                floor.heightM());
    }

    private Integer shoes(Double m) {
        return m == null || shoeCm == null ? null : (Integer) (int) Math.round(100 * m / shoeCm);
    }

    /** What it is played with here, as the list of what to get has it. */
    private static String with(Placed p, List<Gather.GatherItem> gather) {
        return p.ladder()
                .ballRole()
                .map(role -> used(role, p, gather).map(Gather.GatherItem::name).collect(Collectors.joining(" and ")))
                .filter(s -> !s.isEmpty())
                .orElse(null);
    }

    /** The other things of the task for which this home has something else. */
    private List<HomePractice.Instead> instead(Placed p, List<Gather.GatherItem> gather) {
        KitRole ball = p.ladder().ballRole().orElse(null);
        return p.kit().stream()
                .filter(role -> !role.equals(ball))
                .flatMap(role -> used(role, p, gather)
                        .filter(item -> !item.kind().equals(role.kind()))
                        .map(item -> new HomePractice.Instead(
                                role.what(), role.perSpot() + " " + called(item.kind(), role.perSpot()))))
                .toList();
    }

    private String called(String kind, int count) {
        return home.kit().kind(kind).orElseThrow().called(count);
    }

    private static Stream<Gather.GatherItem> used(KitRole role, Placed p, List<Gather.GatherItem> gather) {
        return gather.stream()
                .filter(item -> item.usedFor().contains(role.what())
                        && item.blocks().contains(p.block().id()));
    }

    /** How this pupil does it; empty for all others. */
    private String otherwise(Ladder ladder) {
        List<String> how = new ArrayList<>();
        if (pupil.adaptations().contains(Adaptation.SEATED)) how.add(ladder.seated());
        if (pupil.adaptations().contains(Adaptation.ONE_HAND)) how.add(ladder.oneHand());
        if (pupil.adaptations().contains(Adaptation.SEES_LITTLE) && ladder.seesLittle() != null)
            how.add(ladder.seesLittle());
        return how.isEmpty() ? null : String.join(" ", how);
    }
}
