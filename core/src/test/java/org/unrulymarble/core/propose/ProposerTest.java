package org.unrulymarble.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.propose.ProposeAsk.Candidate;
import org.unrulymarble.core.propose.ProposeAsk.Pick;
import org.unrulymarble.core.propose.ProposeAsk.Place;
import org.unrulymarble.core.propose.ProposeAsk.Way;

/** The quick search against every lesson that there is, and the worth against one reckoned by hand. */
class ProposerTest {

    private static final ProposeAsk.Weights WEIGHTS = new ProposeAsk.Weights(10.0, 10.0, 3.0, 2.0, 1.0, 2.0, 1.0);
    private static final Proposer WITHOUT_PROOF = new Proposer((ask, hint) -> Proposer.Proof.NONE);

    static Stream<Random> seeds() {
        return IntStream.range(0, 10).mapToObj(seed -> new Random(600 + seed));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_quick_search_finds_a_best_lesson_of_few(Random random) {
        ProposeAsk ask = ask(random, 8, 900);
        Worth worth = new Worth(ask);
        double best = all(ask, worth, 0, new ArrayList<>());
        Propose found = WITHOUT_PROOF.propose(ask);

        assertThat(found.feasible()).isEqualTo(best > Double.NEGATIVE_INFINITY);
        if (found.feasible()) assertThat(found.value()).isCloseTo(best, within(1e-9));
    }

    private static double all(ProposeAsk ask, Worth worth, int from, List<Pick> picks) {
        if (from == ask.candidates().size()) {
            boolean twice = picks.stream()
                            .map(p -> ask.candidates().get(p.candidate()).group())
                            .distinct()
                            .count()
                    < picks.size();
            return !twice && worth.keepsAll(picks) ? worth.of(picks) : Double.NEGATIVE_INFINITY;
        }
        double best = all(ask, worth, from + 1, picks);
        for (int o = 0; o < ask.candidates().get(from).options().size(); o++) {
            picks.add(new Pick(from, o));
            best = Math.max(best, all(ask, worth, from + 1, picks));
            picks.remove(picks.size() - 1);
        }
        return best;
    }

    @Test
    void a_lesson_reckoned_by_hand() {
        // Half of each is had after 240 s: 240 s give 0.5, 480 s give 0.75.
        ProposeAsk ask = new ProposeAsk(
                1_200,
                60,
                1,
                4,
                240.0,
                1.0,
                true,
                false,
                WEIGHTS,
                List.of(
                        new Candidate(
                                "warm",
                                "w",
                                Place.OPEN,
                                "move",
                                List.of("feet"),
                                2,
                                0.0,
                                List.of(),
                                false,
                                List.of(new Way(1, 240, 300, 240))),
                        new Candidate(
                                "throw",
                                "t",
                                Place.MAIN,
                                "throw",
                                List.of("aim"),
                                5,
                                1.0,
                                List.of("ball", "chalk"),
                                true,
                                List.of(new Way(2, 240, 780, 480)))));
        Propose found = WITHOUT_PROOF.propose(ask);

        // 10 x (0.5 + 0.75) + 10 x 0.75 + 3 x 1 - 2 x (60 + 300)/60 - 1 x 2 - 2 x (2 + 2) - 1 x (1200 - 1140)/60
        assertThat(found.value()).isCloseTo(12.5 + 7.5 + 3 - 12 - 2 - 8 - 1, within(1e-9));
        assertThat(found.blocks()).extracting(Propose.Chosen::id).containsExactly("warm", "throw");
        assertThat(found.totalSec()).isEqualTo(1_140);
    }

    @Test
    void efforts_are_put_in_the_order_with_the_least_leaps() {
        // Two that must be in it may be of one group: the first question that can be answered.
        ProposeAsk ask = IntStream.range(0, 50)
                .mapToObj(seed -> ask(new Random(seed), 12, 7_200))
                .filter(a -> WITHOUT_PROOF.propose(a).feasible())
                .findFirst()
                .orElseThrow();
        Propose found = WITHOUT_PROOF.propose(ask);
        List<Integer> efforts = found.blocks().stream()
                .map(b -> ask.candidates().stream()
                        .filter(c -> c.id().equals(b.id()))
                        .findFirst()
                        .orElseThrow()
                        .effort())
                .toList();

        List<Integer> around = new ArrayList<>();
        around.add(2);
        around.addAll(efforts);
        around.add(2);
        double leaps = 0;
        for (int i = 1; i < around.size(); i++)
            leaps += Math.max(0, Math.abs(around.get(i) - around.get(i - 1)) - ask.leap());
        int[] counts = new int[6];
        efforts.subList(1, efforts.size() - 1).forEach(e -> counts[e]++);
        assertThat(leaps)
                .isEqualTo(new EffortOrder(ask.leap()).least(counts, efforts.get(0), efforts.get(efforts.size() - 1)));
    }

    @Test
    void padding_that_would_pay_is_refused() {
        assertThatThrownBy(() -> new ProposeAsk.Weights(10.0, 10.0, 3.0, 1.0, 1.0, 2.0, 1.5))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("idle");
    }

    private static ProposeAsk ask(Random random, int candidates, int targetSec) {
        List<Candidate> all = new ArrayList<>();
        for (int c = 0; c < candidates; c++)
            all.add(new Candidate(
                    "c" + c,
                    "g" + (c % 2 == 0 ? c : random.nextInt(c + 1)),
                    c == 0 ? Place.OPEN : c == 1 ? Place.CLOSE : Place.MAIN,
                    "f" + random.nextInt(3),
                    List.of("a" + random.nextInt(3), "b" + random.nextInt(2)),
                    1 + random.nextInt(5),
                    random.nextDouble(),
                    List.of("k" + random.nextInt(4)),
                    random.nextInt(9) == 0,
                    List.of(
                            new Way(1, 60, 100 + random.nextInt(200), 60),
                            new Way(2, 60, 300 + random.nextInt(200), 60 + random.nextInt(240)))));
        return new ProposeAsk(targetSec, 30, 2, 8, 120.0, 1.0, true, true, WEIGHTS, all);
    }
}
