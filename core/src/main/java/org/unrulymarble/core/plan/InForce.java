package org.unrulymarble.core.plan;

import java.util.List;
import java.util.Set;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.ladder.Family;
import org.unrulymarble.core.ladder.Figures;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.RungWords;
import org.unrulymarble.core.measure.Course;
import org.unrulymarble.core.measure.CourseTime;
import org.unrulymarble.core.measure.Furthest;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.measure.Stairs;

/** What holds for a rung in a block: the block's figures where it has some, else the rung's. Words, pad, gate and record go by these. */
final class InForce {

    private static final Set<Family> THROWN = Set.of(Family.THROW, Family.CATCH, Family.TARGET);

    private InForce() {}

    static Figures of(Placed p, Rung rung) {
        BlockDose dose = p.block().dose();
        return new Figures(
                rung,
                switch (dose.type()) {
                    case CLOCK -> Figures.Until.CLOCK;
                    case COUNT -> Figures.Until.COUNT;
                    case GATE -> Figures.Until.GATE;
                    case STAIRCASE -> Figures.Until.STAIRCASE;
                    case SELF_PACED -> Figures.Until.ALONE;
                },
                p.reps(),
                dose instanceof BlockDose.ByCount count ? count.orReps() : List.of(),
                p.workSec(),
                measure(p, rung),
                gate(p, rung),
                stairs(p, rung),
                standM(p, rung),
                markers(p, rung),
                p.sides().size());
    }

    private static Integer markers(Placed p, Rung rung) {
        if (p.block().called() != null) return p.block().called().markers().size();
        return rung.calls() == null ? null : (Integer) rung.calls().words().size();
    }

    /** Its sentences with these figures; where something is thrown until a stop, what is in the air then does not count. */
    static RungWords words(Placed p, Rung rung) {
        Measure measure = measure(p, rung);
        RungWords words = RungWords.of(of(p, rung));
        if (measure.kind() != rung.measure().kind()) words = words.scoredBy(measure.kind());
        if (p.block().target() != null) words = words.at(p.block().target());
        Course course = course(p, rung);
        if (course != null) words = words.along(course);
        boolean stops = p.block().dose().type() != BlockDose.Type.COUNT
                && p.block().dose().type() != BlockDose.Type.SELF_PACED;
        return stops && measure.thrown() && THROWN.contains(p.ladder().family()) && hasBall(p.ladder(), rung)
                ? words.notInTheAir()
                : words;
    }

    private static boolean hasBall(Ladder ladder, Rung rung) {
        return ladder.kit(rung).stream().anyMatch(KitRole::countsAsBall);
    }

    /** The rung's measure with what this block asks for: so many tries, and its own way of stepping back. */
    static Measure measure(Placed p, Rung rung) {
        Measure asked = asked(p, rung);
        if (asked instanceof HitsOfN) return new HitsOfN(p.reps());
        if (asked instanceof NoBalls) return new NoBalls(p.reps());
        return asked instanceof Furthest ? new Furthest(stairs(p, rung)) : asked;
    }

    private static Measure asked(Placed p, Rung rung) {
        Measure other = p.block().measure();
        return other != null && rung.measure().mayBeScoredAs(other) ? other : rung.measure();
    }

    /** What is aimed at or run to, where the block says so; null for the rung's. */
    static String target(Placed p) {
        if (p.block().target() != null || p.block().called() == null)
            return p.block().target();
        return p.block().called().told();
    }

    /** The measure that the record keeps beside a result, since it compares only with its like; null where it is the rung's. */
    static Measure otherMeasure(Placed p, Rung rung) {
        Measure asked = asked(p, rung);
        // How many goes there are is the dose's, and a share compares whatever they are.
        return asked.equals(rung.measure()) || asked instanceof HitsOfN && rung.measure() instanceof HitsOfN
                ? null
                : asked;
    }

    /** The course that is drawn for it, or null. */
    static Course course(Placed p, Rung rung) {
        return asked(p, rung) instanceof CourseTime timed ? timed.course() : null;
    }

    static int fairSec(Placed p, Rung rung, Course course) {
        Planning.CoursePace pace = hasBall(p.ladder(), rung)
                ? p.coursePaces().withBall()
                : p.coursePaces().free();
        return course.fairSec(pace.straightMs(), pace.quarterTurnSec());
    }

    /** Where it is done from. */
    static Double standM(Placed p, Rung rung) {
        return p.block().standM() == null ? rung.standM() : p.block().standM();
    }

    /** How it is stepped back: as the dose says, over the rung's ground; null where nobody steps. */
    static Stairs stairs(Placed p, Rung rung) {
        Stairs own = rung.measure() instanceof Furthest furthest ? furthest.stairs() : null;
        if (own != null && p.block().standM() != null) own = own.from(p.block().standM());
        if (!(p.block().dose() instanceof BlockDose.ByStaircase dose)) return own;
        if (own != null) return dose.stairs().over(own);
        Double standM = standM(p, rung);
        return standM == null ? dose.stairs() : dose.stairs().from(standM);
    }

    /** The teacher's own gate, else the rung's; of so many tries it asks for the same share of as many as this block gives. */
    static Gate gate(Placed p, Rung rung) {
        if (p.block().gate() != null) return p.block().gate();
        Measure measure = asked(p, rung);
        Course course = course(p, rung);
        if (course != null && !measure.equals(rung.measure())) return new Gate.Reach(fairSec(p, rung, course));
        Gate own = rung.gateUnder(measure);
        boolean follows = own instanceof Gate.SoManyOf && p.reps() != null && measure instanceof HitsOfN;
        if (!follows) return own;
        int of = own.outOf();
        int reach = (own.reach() * p.reps() + of - 1) / of;
        return new Gate.SoManyOf(reach, p.reps());
    }
}
