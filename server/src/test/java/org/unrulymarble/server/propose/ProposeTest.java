package org.unrulymarble.server.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.unrulymarble.core.propose.Propose;
import org.unrulymarble.core.propose.ProposeAsk;
import org.unrulymarble.core.propose.ProposeAsk.Candidate;
import org.unrulymarble.core.propose.ProposeAsk.Place;
import org.unrulymarble.core.propose.ProposeAsk.Way;
import org.unrulymarble.core.propose.Proposer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Proposals with the solver behind them. */
class ProposeTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final SolverLibrary LIBRARY = new SolverLibrary();
    private static final CpSatProver PROVER = new CpSatProver(LIBRARY, 1.9);
    private static final Proposer PROPOSER = new Proposer(PROVER);

    @BeforeAll
    static void load() {
        LIBRARY.load();
    }

    static Stream<JsonNode> cases() throws IOException {
        try (var in = ProposeTest.class.getResourceAsStream("/cases/propose.json")) {
            return JSON.readTree(in).get("cases").valueStream().toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void is_worth_what_the_worked_case_is_worth_and_bounded(JsonNode worked) {
        JsonNode out = worked.get("out");
        Propose found = PROPOSER.propose(JSON.convertValue(worked.get("in"), ProposeAsk.class));

        assertThat(found.feasible()).isEqualTo(out.get("feasible").booleanValue());
        if (!found.feasible()) return;
        double best = out.get("value").doubleValue();
        double scale = Math.max(10, Math.abs(best));
        assertThat(found.value()).isBetween(best - 0.01 * scale, best + 1e-6 * scale);
        assertThat(found.bound()).isBetween(best - 1e-6 * scale, best + 0.05 * scale);
    }

    @Test
    void a_hundred_ladders_are_proposed_from_and_the_gap_is_small() {
        Random random = new Random(3);
        List<Candidate> candidates = new ArrayList<>();
        for (int c = 0; c < 100; c++) {
            List<Way> ways = new ArrayList<>();
            for (int o = 0; o < 6; o++) {
                int active = 60 + 30 * random.nextInt(12);
                ways.add(new Way(1 + random.nextInt(4), 30, active + 90 + random.nextInt(200), active));
            }
            candidates.add(new Candidate(
                    "c" + c,
                    "g" + c,
                    c < 8 ? Place.OPEN : c < 16 ? Place.CLOSE : Place.MAIN,
                    "f" + c % 5,
                    IntStream.range(0, 1 + random.nextInt(4))
                            .mapToObj(a -> "a" + (a * 3 + random.nextInt(3)))
                            .toList(),
                    1 + random.nextInt(5),
                    random.nextDouble(),
                    IntStream.range(0, random.nextInt(3))
                            .mapToObj(k -> "k" + (k * 6 + random.nextInt(6)))
                            .toList(),
                    c == 40,
                    ways));
        }
        ProposeAsk.Weights weights = new ProposeAsk.Weights(10.0, 10.0, 3.0, 2.0, 1.0, 2.0, 1.0);
        Propose found = PROPOSER.propose(new ProposeAsk(2_400, 30, 4, 8, 240.0, 1.0, true, true, weights, candidates));

        assertThat(found.blocks()).extracting(Propose.Chosen::id).contains("c40");
        assertThat(found.totalSec()).isBetween(1_200, 2_400);
        assertThat(found.bound() - found.value()).isBetween(0.0, 0.05 * Math.max(10, found.value()));
    }

    /** Of all questions some are told apart by it: else it would be the other bound by another name. */
    @Test
    void whole_tasks_bind_more_closely_than_halves_and_never_below_what_was_found() throws IOException {
        int closer = 0;
        for (JsonNode worked : cases().toList()) {
            ProposeAsk ask = JSON.convertValue(worked.get("in"), ProposeAsk.class);
            if (!worked.at("/out/feasible").booleanValue()) continue;
            double halves = PROVER.bound(ask, List.of());
            double whole = PROVER.boundOfWhole(ask, List.of(), 1);
            assertThat(whole).isBetween(worked.at("/out/value").doubleValue() - 1e-6, halves + 1e-6 * Math.abs(halves));
            if (whole < halves - 0.01) closer++;
        }
        assertThat(closer).isPositive();
    }

    @Test
    void what_is_asked_of_all_together_binds_whole_tasks_too() {
        ProposeAsk ask = new ProposeAsk(
                1_200,
                30,
                1,
                4,
                240.0,
                1.0,
                false,
                false,
                new ProposeAsk.Weights(0.0, 10.0, 0.0, 0.0, 0.0, 0.0, 0.0),
                IntStream.range(0, 3).mapToObj(ProposeTest::alike).toList());
        // Two thirds of a floor each: of whole tasks one goes in, of halves one and a half.
        Proposer.Row floor = new Proposer.Row(
                IntStream.range(0, 3).boxed().collect(Collectors.toMap(c -> new ProposeAsk.Pick(c, 0), c -> 2 / 3.0)),
                0,
                1);
        double one = 10 * (1 - Math.pow(2, -240 / 240.0));

        assertThat(PROVER.bound(ask, List.of(floor))).isCloseTo(1.5 * one, within(1e-6));
        assertThat(PROVER.boundOfWhole(ask, List.of(floor), 1)).isCloseTo(one, within(1e-6));
    }

    private static Candidate alike(int c) {
        return new Candidate(
                "c" + c,
                "g" + c,
                Place.MAIN,
                "f",
                List.of("a" + c),
                2,
                1.0,
                List.of(),
                false,
                List.of(new Way(2, 60, 300, 240)));
    }
}
