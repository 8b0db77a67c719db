package org.unrulymarble.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.Cases;

class SpotsTest {

    static Stream<Cases.Case> workedCases() {
        return Cases.of("spots").stream();
    }

    static Stream<Spots.SpotsAsk> seededRooms() {
        Random random = new Random(77);
        return Stream.generate(() -> room(random)).limit(400);
    }

    @ParameterizedTest
    @MethodSource("workedCases")
    void agrees_with_the_worked_case(Cases.Case worked) {
        worked.agreesWith(Spots.of(Cases.JSON.convertValue(worked.in(), Spots.SpotsAsk.class)));
    }

    @ParameterizedTest
    @MethodSource("seededRooms")
    void spots_keep_their_gap_and_their_edge(Spots.SpotsAsk ask) {
        Spots spots = Spots.of(ask);
        List<Spots.Placed> placed = spots.placed();
        double edge = ask.footprint().edgeM() - 1e-6;
        double gap = ask.footprint().gapM() - 1e-6;
        double length = ask.footprint().needsWall()
                ? ask.space().wall().runM()
                : ask.space().lengthM();
        double depth = ask.footprint().needsWall()
                ? ask.space().wall().depthM()
                : ask.space().widthM();

        assertThat(placed).hasSize((int) spots.spots());
        assertThat(spots.spots() == 0).isEqualTo(spots.reason() != null);
        for (Spots.Placed a : placed) {
            assertThat(a.xM()).isGreaterThanOrEqualTo(edge);
            assertThat(a.xM() + a.alongM()).isLessThanOrEqualTo(length - edge);
            assertThat(a.yM() + a.acrossM()).isLessThanOrEqualTo(depth - edge);
            for (Spots.Placed b : placed) {
                if (a == b) continue;
                boolean apart = a.xM() + a.alongM() + gap <= b.xM()
                        || b.xM() + b.alongM() + gap <= a.xM()
                        || a.yM() + a.acrossM() + gap <= b.yM()
                        || b.yM() + b.acrossM() + gap <= a.yM();
                assertThat(apart).as("%s and %s keep their gap", a, b).isTrue();
            }
        }
    }

    private static Spots.SpotsAsk room(Random random) {
        boolean atWall = random.nextBoolean();
        Space space = new Space(
                2 + random.nextInt(140) / 10.0,
                1.5 + random.nextInt(90) / 10.0,
                random.nextBoolean() ? null : 2 + random.nextInt(20) / 10.0,
                atWall ? new Wall(random.nextInt(120) / 10.0, random.nextInt(70) / 10.0) : null);
        Footprint footprint = new Footprint(
                0.5 + random.nextInt(30) / 10.0,
                0.5 + random.nextInt(20) / 10.0,
                random.nextInt(10) / 10.0,
                random.nextInt(5) / 10.0,
                atWall,
                random.nextBoolean(),
                random.nextBoolean() ? null : 2.4);
        return new Spots.SpotsAsk(space, footprint, random.nextInt(33), 1 + random.nextInt(3));
    }
}
