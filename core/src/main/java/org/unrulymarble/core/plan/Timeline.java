package org.unrulymarble.core.plan;

import java.util.ArrayList;
import java.util.List;
import org.unrulymarble.core.clock.Dose;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.clock.RestRule;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.clock.Timing;

/**
 * A lesson's time: its pieces one after the other, each a block or the stations of a circuit, and their segments as they are played.
 *
 * @param pieces in order
 * @param clock of the pieces
 * @param segments as long as the clock's and without gap or overlap, but for the stations beside each other; only the order inside a block differs
 */
public record Timeline(List<Piece> pieces, LessonClock clock, List<Segment> segments) {

    /** What lies between two transitions. @param first place of its first block in the lesson */
    public record Piece(int first, List<Placed> blocks) {
        /** Null for a block. */
        public Circuit circuit() {
            Station station = blocks.get(0).station();
            return station == null ? null : station.circuit();
        }

        /** Seconds of one round for all: of the station that works longest. */
        int roundSec() {
            return blocks.stream().mapToInt(Placed::workSec).max().orElse(0);
        }

        /** The station that the clock goes by. */
        int lead() {
            for (int s = 0; s < blocks.size(); s++) if (blocks.get(s).workSec() == roundSec()) return s;
            return 0;
        }

        /** Stages are the clock's sets, the rounds of a visit its turns, and the change of stations the rest between sets. */
        public Timing timing() {
            Circuit c = circuit();
            if (c == null) return blocks.get(0).timing();
            return new Timing(
                    blocks.stream().mapToInt(p -> p.block().setupSec()).max().orElse(0),
                    blocks.stream().mapToInt(p -> p.block().explainSec()).sum(),
                    blocks.stream().mapToInt(p -> p.block().countInSec()).max().orElse(0),
                    c.stations(),
                    Dose.byClock(roundSec()),
                    1,
                    0,
                    c.rounds(),
                    c.restSec(),
                    Math.max(c.changeSec(), c.rounds() > 1 ? c.restSec() : 0),
                    false);
        }
    }

    static Timeline of(RestRule restRule, int transitionSec, List<Placed> placed) {
        List<Piece> pieces = pieces(placed);
        LessonClock clock = LessonClock.of(new LessonClock.ClockAsk(
                restRule, transitionSec, pieces.stream().map(Piece::timing).toList()));
        Player player = new Player();
        for (int i = 0; i < pieces.size(); i++) {
            int number = i;
            List<Segment> mine =
                    clock.segments().stream().filter(s -> s.block() == number).toList();
            player.play(pieces.get(i), mine);
        }
        return new Timeline(pieces, clock, List.copyOf(player.out));
    }

    public static List<Piece> pieces(List<Placed> placed) {
        List<Piece> out = new ArrayList<>();
        for (int i = 0; i < placed.size(); ) {
            Station station = placed.get(i).station();
            int to = station == null ? i + 1 : i + station.circuit().stations();
            out.add(new Piece(i, placed.subList(i, to)));
            i = to;
        }
        return out;
    }

    LessonClock.BlockClock clockOf(int block) {
        return clock.blocks().get(pieceOf(block));
    }

    private int pieceOf(int block) {
        int piece = 0;
        while (piece + 1 < pieces.size() && pieces.get(piece + 1).first() <= block) piece++;
        return piece;
    }

    /** Lays the pieces' segments one after the other. */
    private static final class Player {
        private final List<Segment> out = new ArrayList<>();
        private long nowSec;

        void play(Piece piece, List<Segment> mine) {
            Placed p = piece.blocks().get(0);
            if (piece.circuit() != null) circuit(piece, mine);
            else if (!p.moves())
                for (Segment s : mine) add(piece.first(), s, s.kind() == Segment.Kind.EXPLAIN ? time(p) : s.kind());
            else if (p.block().cue() == Block.Cue.AFTER_A_TRY) cueAfterFirstSet(piece.first(), mine);
            else for (Segment s : mine) add(piece.first(), s, s.kind());
        }

        private static Segment.Kind time(Placed p) {
            return p.block().kind() == Block.Kind.WATER ? Segment.Kind.WATER : Segment.Kind.TALK;
        }

        private void cueAfterFirstSet(int block, List<Segment> mine) {
            List<Segment> explains =
                    mine.stream().filter(s -> s.kind() == Segment.Kind.EXPLAIN).toList();
            boolean told = false;
            for (Segment s : mine) {
                if (s.kind() == Segment.Kind.EXPLAIN) continue;
                boolean firstSetIsOver = s.set() > 0 || (s.set() == 0 && afterLastWork(mine, s));
                if (!told && firstSetIsOver) {
                    for (Segment e : explains) add(block, e, e.kind());
                    told = true;
                }
                add(block, s, s.kind());
            }
            if (!told) for (Segment e : explains) add(block, e, e.kind());
        }

        private static boolean afterLastWork(List<Segment> mine, Segment s) {
            return mine.stream()
                    .filter(w -> w.kind() == Segment.Kind.WORK && w.set() == 0)
                    .allMatch(w -> w.index() < s.index());
        }

        private void circuit(Piece piece, List<Segment> mine) {
            for (int i = 0; i < mine.size(); i++) {
                Segment s = mine.get(i);
                switch (s.kind()) {
                    case EXPLAIN -> {
                        for (int station = 0; station < piece.blocks().size(); station++)
                            add(piece.first() + station, Segment.Kind.EXPLAIN, told(piece, station), -1, -1, -1);
                    }
                    case COUNT_IN, WORK -> round(piece, s);
                    case TRANSITION -> add(piece.first() + piece.blocks().size() - 1, s, s.kind());
                    case TURN_SWAP, REST -> {
                        if (s.turn() < 0) {
                            add(piece.first(), s, s.kind());
                            continue;
                        }
                        boolean toOtherStation = !sameStageGoesOn(mine, i);
                        long sec = s.durationSec();
                        // The clock's gap between two sets is a change of places and what remains of the rest.
                        if (toOtherStation
                                && i + 1 < mine.size()
                                && mine.get(i + 1).kind() == Segment.Kind.REST)
                            sec += mine.get(++i).durationSec();
                        at(
                                piece,
                                piece.lead(),
                                s,
                                toOtherStation ? Segment.Kind.STATION_CHANGE : Segment.Kind.REST,
                                sec);
                    }
                    default -> add(piece.first(), s, s.kind());
                }
            }
        }

        /** Whether the next count-in or work after this is of the same stage. */
        private static boolean sameStageGoesOn(List<Segment> mine, int at) {
            for (int i = at + 1; i < mine.size(); i++)
                if (mine.get(i).kind() == Segment.Kind.WORK)
                    return mine.get(i).set() == mine.get(at).set();
            return false;
        }

        private static int told(Piece piece, int station) {
            return piece.blocks().get(station).block().explainSec();
        }

        private void round(Piece piece, Segment s) {
            int lead = piece.lead();
            at(piece, lead, s, s.kind(), s.durationSec());
            if (s.kind() != Segment.Kind.WORK) return;
            int clockGoesBy = out.size() - 1;
            for (int station = 0; station < piece.blocks().size(); station++) {
                if (station == lead) continue;
                Placed p = piece.blocks().get(station);
                out.add(new Segment(
                        out.size(),
                        piece.first() + station,
                        Segment.Kind.WORK,
                        out.get(clockGoesBy).startSec(),
                        p.workSec(),
                        s.turn() / p.turns(),
                        turnAt(p, s),
                        0,
                        clockGoesBy));
            }
        }

        /** A station's turns are those of the first visit, then those of the second, and so on. */
        private static int turnAt(Placed p, Segment s) {
            return s.set() * p.turns() + s.turn() % p.turns();
        }

        private void at(Piece piece, int station, Segment s, Segment.Kind kind, long sec) {
            Placed p = piece.blocks().get(station);
            add(piece.first() + station, kind, sec, s.turn() / p.turns(), turnAt(p, s), s.side());
        }

        private void add(int block, Segment s, Segment.Kind kind) {
            add(block, kind, s.durationSec(), s.set(), s.turn(), s.side());
        }

        private void add(int block, Segment.Kind kind, long sec, int set, int turn, int side) {
            if (sec <= 0) return;
            out.add(new Segment(out.size(), block, kind, nowSec, sec, set, turn, side));
            nowSec += sec;
        }
    }
}
