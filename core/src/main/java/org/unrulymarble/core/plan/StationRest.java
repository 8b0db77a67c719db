package org.unrulymarble.core.plan;

/**
 * How long a group rests between two rounds at one station: what all rest, and what its own work leaves of the round. It can be chosen where a station works by
 * the clock, between what all rest and what leaves ten seconds of work; the others' work is the round then.
 *
 * @param sec in seconds, as {@code leastSec} and {@code mostSec}
 * @param mostSec the same as {@code leastSec} where nothing can be chosen
 */
public record StationRest(int sec, int leastSec, int mostSec) {

    private static final int SHORTEST_WORK_SEC = 10;

    public static StationRest of(Placed station, Timeline.Piece piece) {
        int restSec = piece.circuit().restSec();
        int now = restSec + piece.roundSec() - station.workSec();
        boolean byClock = station.block().dose().type() == BlockDose.Type.CLOCK;
        int most = restSec + Math.max(0, othersSec(station, piece) - SHORTEST_WORK_SEC);
        return new StationRest(now, restSec, byClock ? Math.max(restSec, most) : restSec);
    }

    private static int othersSec(Placed station, Timeline.Piece piece) {
        return piece.blocks().stream()
                .filter(p -> p != station)
                .mapToInt(Placed::workSec)
                .max()
                .orElse(0);
    }

    /** The dose of a station that is to rest so long; both sides share one round. */
    public static BlockDose dose(int restSec, Placed station, Timeline.Piece piece) {
        int workSec = othersSec(station, piece) + piece.circuit().restSec() - restSec;
        return BlockDose.byClock(station.mixed() ? workSec / 2 : workSec);
    }
}
