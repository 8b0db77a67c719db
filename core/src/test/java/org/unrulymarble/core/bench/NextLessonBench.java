package org.unrulymarble.core.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.unrulymarble.core.place.Feature;
import org.unrulymarble.core.place.Footprint;
import org.unrulymarble.core.place.Noise;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.place.SideBySide;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.propose.Proposer;
import org.unrulymarble.core.rehearse.Rehearsal;
import org.unrulymarble.core.rotation.Groups;

/** What comes next for twenty-four in the loft: proposed, with stations, rehearsed; eight stations in a room with doors; thirty in groups. */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class NextLessonBench {

    private static final Proposer PROPOSER = new Proposer((ask, hint) -> Proposer.Proof.NONE);

    private final Setting loft = World.setting(World.LOFT, 24);
    private final Lesson empty = Lesson.of(40, Lesson.Audience.CLASS, List.of());
    private final NextLesson.Wishes usual = new NextLesson.Wishes(null, null, null);
    private final Lesson proposed = NextLesson.proposeBeside(empty, loft, List.of(), usual, PROPOSER::first)
            .lesson();
    private final Place doors = Place.of(
            new Space(18.0, 9.0, 4.0, new Wall(18.0, 9.0)),
            null,
            null,
            Feature.inWall(Feature.Kind.DOOR, Feature.Edge.BOTTOM, 2, 1.5),
            Feature.inWall(Feature.Kind.WAY_OUT, Feature.Edge.RIGHT, 3, 1.5),
            Feature.inWall(Feature.Kind.WINDOW, Feature.Edge.TOP, 8, 3));
    private final List<Groups.GroupPupil> thirty = IntStream.range(0, 30)
            .mapToObj(i -> new Groups.GroupPupil("p" + i, (double) (i * 7 % 11)))
            .toList();
    private int asked;

    @Benchmark
    public NextLesson proposeSoon() {
        return NextLesson.propose(empty, loft, List.of(), usual, PROPOSER::first);
    }

    @Benchmark
    public NextLesson proposeWithStations() {
        return NextLesson.proposeBeside(empty, loft, List.of(), usual, PROPOSER::first);
    }

    @Benchmark
    public Rehearsal rehearse() {
        return Rehearsal.of(Rehearsal.RehearsalAsk.usual(proposed, loft));
    }

    /** A question that nobody asked before: answers are kept. */
    @Benchmark
    public SideBySide layOutEight() {
        double width = 1.2 + 1e-7 * asked++;
        List<SideBySide.StationAsk> stations = IntStream.range(0, 8)
                .mapToObj(i -> new SideBySide.StationAsk(
                        new Footprint(i % 2 == 0 ? 1.4 : 3.0, width, 0.4, 0.3, i == 2 || i == 5, i == 3, null),
                        3,
                        1,
                        4,
                        null,
                        null,
                        true,
                        Noise.BOUNCE,
                        null))
                .toList();
        return SideBySide.of(new SideBySide.SideBySideAsk(doors, stations, 0.8, 2));
    }

    @Benchmark
    public Groups groupThirty() {
        return Groups.of(new Groups.GroupsAsk(Groups.Mode.EVEN, 4, thirty, List.of(), List.of(), List.of(), 0.0));
    }
}
