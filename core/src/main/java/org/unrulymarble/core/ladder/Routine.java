package org.unrulymarble.core.ladder;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * Small moves one after the other without a stop, each called when its turn comes; a stretch that is held is a move without a count.
 *
 * @param name 1 to 60 letters
 * @param moves 1 to 40, in order
 */
public record Routine(String name, List<Move> moves) {

    /**
     * One move.
     *
     * @param what in a few words, as it is called; 1 to 60 letters
     * @param count how many on a side, 1 to 1,000, or null for as long as it lasts
     * @param sec seconds on a side, 1 to 600
     * @param eachSide whether it comes once on each side
     */
    public record Move(String what, @Nullable Integer count, Integer sec, Boolean eachSide) {
        public Move {
            eachSide = eachSide != null && eachSide;
            Checks checks = new Checks().text("what", what, 60).range("sec", sec, 1, 600);
            if (count != null) checks.range("count", count, 1, 1000);
            checks.done();
        }

        int sides() {
            return eachSide ? 2 : 1;
        }
    }

    /** What is called, and when: whole seconds from the beginning. */
    public record Call(String said, int atSec) {}

    public Routine {
        new Checks().text("name", name, 60).entries("moves", moves, 1, 40).done();
        moves = List.copyOf(moves);
    }

    /** Seconds of all moves on all their sides. */
    public int sec() {
        return moves.stream().mapToInt(m -> m.sec() * m.sides()).sum();
    }

    /** All that is counted, on all sides: what is held has none. */
    public int count() {
        return moves.stream()
                .mapToInt(m -> m.count() == null ? 0 : m.count() * m.sides())
                .sum();
    }

    /** A call for each move and side, in order. */
    public List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        int at = 0;
        for (Move m : moves)
            for (int side = 0; side < m.sides(); side++) {
                calls.add(new Call(said(m, side), at));
                at += m.sec();
            }
        return List.copyOf(calls);
    }

    private static String said(Move m, int side) {
        return Message.ours(
                "routine.call",
                Map.of(
                        "what", m.what(),
                        "count", m.count() == null ? 0 : m.count(),
                        "side", !m.eachSide() ? "none" : side == 0 ? "first" : "second"));
    }
}
