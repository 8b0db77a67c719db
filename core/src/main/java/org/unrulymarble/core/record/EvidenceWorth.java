package org.unrulymarble.core.record;

import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Rings;
import org.unrulymarble.core.skill.Difficulties;
import org.unrulymarble.core.skill.Seen;

/**
 * What a round says of one pupil's ability, and how much it counts: the one list.
 *
 * <ul>
 *   <li>a trial, a joint result, a round with a modifier, on a rung that is gone: nothing
 *   <li>counted hits and misses: every try, whoever chose the rung
 *   <li>only the hits known: whether the gate was met, half a round; nothing where it was broken off, or lasted much longer or shorter than the gate asks
 *   <li>a measure that has no tries (a watch, a place, a match): whether the gate was met, a whole round
 *   <li>from home or typed in and not confirmed: the class's part of it, usually half
 * </ul>
 */
final class EvidenceWorth {

    private static final double GATE_OF_HITS = 0.5;
    private static final double GATE_WITHOUT_TRIES = 1;
    /** A round that lasted this much longer or shorter than its gate asks says nothing by its gate. */
    private static final double NEAR_ENOUGH = 0.2;

    /** Rounds of a measure without tries: each is worth so many when it is asked whether there are enough. */
    static final double TRIES_OF_A_ROUND = 4;

    private EvidenceWorth() {}

    /** What one of its tries counts, 0 to 1; 0 where it says nothing. */
    static double of(Attempt a, Readiness how) {
        if (a.trial() || !a.jointWith().isEmpty() || !a.modifiers().isEmpty()) return 0;
        return a.confirmed() ? 1 : how.unconfirmedWeight();
    }

    /** What it says of the ability, or null for nothing. */
    static Seen seen(Attempt a, Ladder ladder, Difficulties difficulties, Readiness how) {
        double worth = of(a, how);
        Rung rung = ladder.rung(a.rungId()).orElse(null);
        if (worth <= 0 || rung == null) return null;
        double difficulty = difficulties.of(rung.id());
        if (a.isEvidence())
            return a.hits() + a.misses() == 0 ? null : new Seen(difficulty, worth * a.hits(), worth * a.misses());
        Measure measure = a.measure(rung);
        if (!tellsByGate(a, rung, measure)) return null;
        double part = countable(measure) ? GATE_OF_HITS : GATE_WITHOUT_TRIES;
        return new Seen(
                difficulty,
                0,
                0,
                new Seen.MetGate(difficulties.curve(rung.id()), Challenge.met(rung, a), worth * part));
    }

    private static boolean tellsByGate(Attempt a, Rung rung, Measure measure) {
        // Scored otherwise, the gate is another one than the curve knows.
        if (a.isBrokenOff() || measure.kind() != rung.measure().kind()) return false;
        Gate gate = rung.gate();
        if (gate instanceof Gate.SoManyIn timed)
            return a.workSec() != null && Math.abs(a.workSec() - timed.inSec()) <= NEAR_ENOUGH * timed.inSec();
        if (gate instanceof Gate.SoManyOf) return a.hits() != null && a.tries() != null;
        return !(gate instanceof Gate.InARow) || a.inARow() != null;
    }

    /** Whether somebody beside can count what goes in and what does not; a place, a watch, a match have no such tries. */
    static boolean countable(Measure measure) {
        return measure.tappable() || measure instanceof Rings;
    }

    /** How many tries it is worth when it is asked whether there are enough to say a word. */
    static double enough(Attempt a, Rung rung, Readiness how) {
        double worth = of(a, how);
        if (a.isEvidence()) return worth * (a.hits() + a.misses());
        return countable(rung.measure()) || a.isBrokenOff() ? 0 : worth * TRIES_OF_A_ROUND;
    }
}
