package org.unrulymarble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.run.What;

/** How it went before and after a cue, of those to whom it was called. */
class CueHelpTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
    private static final Ladder RINGS =
            Catalogue.shipped().ladder("bowl-at-rings").orElseThrow();
    private static final String RUNG = "near-rings";
    private static final String CUE = "bent-elbow";

    private final List<Attempt> attempts = new ArrayList<>();
    private final List<PupilRemark> remarks = new ArrayList<>();

    @Test
    void rounds_up_to_the_call_are_before_it_and_those_of_the_next_practice_after_it() {
        for (String pupil : List.of("ada", "ben", "cleo")) {
            tried(pupil, -14, 1, 10, 0);
            tried(pupil, -7, 1, 2, 8);
            tried(pupil, 0, 1, 3, 7);
            tried(pupil, 0, 2, 6, 4);
            tried(pupil, 7, 1, 7, 3);
            tried(pupil, 14, 1, 0, 10);
            called(pupil, 1, What.Remarked.Kind.CALLED);
        }
        // Somebody else's rounds, another cue, and a remark that does not say when.
        tried("dan", 0, 2, 10, 0);
        remarks.add(new PupilRemark("dan", DAY, RINGS.id(), RUNG, What.Remarked.Kind.FAULT, CUE));
        called("ada", 1, What.Remarked.Kind.FAULT);

        List<CueHelp> all = CueHelp.of(attempts, remarks, RINGS);
        assertThat(all).hasSize(1);
        CueHelp help = all.get(0);
        assertThat(help.faultId()).isEqualTo(CUE);
        assertThat(help.pupils()).isEqualTo(3);
        assertThat(help.before()).isEqualTo(new CueHelp.Part(15, 60));
        assertThat(help.after()).isEqualTo(new CueHelp.Part(39, 60));
        assertThat(help.enough()).isTrue();
        assertThat(help.chance()).isLessThan(0.001);
    }

    @Test
    void of_two_pupils_or_of_few_tries_nothing_is_told() {
        for (String pupil : List.of("ada", "ben", "cleo")) {
            tried(pupil, 0, 1, 2, 2);
            tried(pupil, 0, 2, 4, 0);
            called(pupil, 1, What.Remarked.Kind.FAULT);
        }
        CueHelp few = CueHelp.of(attempts, remarks, RINGS).get(0);
        assertThat(few.enough()).isFalse();
        assertThat(few.chance()).isNull();
        assertThat(CueHelp.of(attempts, List.of(), RINGS)).isEmpty();
    }

    /** Where a cue does nothing, so large a difference is told as chance as often as it is. */
    @Test
    void a_cue_that_does_nothing_seldom_looks_as_if_it_did() {
        Random random = new Random(5);
        int told = 0;
        for (int cls = 0; cls < 600; cls++) {
            attempts.clear();
            remarks.clear();
            for (int i = 0; i < 8; i++) {
                double share = 0.3 + 0.5 * random.nextDouble();
                for (int set = 1; set <= 2; set++) {
                    int hits = 0;
                    for (int k = 0; k < 10; k++) if (random.nextDouble() < share) hits++;
                    tried("p" + i, 0, set, hits, 10 - hits);
                }
                called("p" + i, 1, What.Remarked.Kind.CALLED);
            }
            if (CueHelp.of(attempts, remarks, RINGS).get(0).chance() < 0.1) told++;
        }
        assertThat(told / 600.0).isCloseTo(0.1, within(0.035));
    }

    private void called(String pupil, int set, What.Remarked.Kind kind) {
        remarks.add(new PupilRemark(pupil, DAY, RINGS.id(), RUNG, kind, CUE, set));
    }

    private void tried(String pupil, int days, int set, int hits, int misses) {
        attempts.add(new Attempt(
                "a" + attempts.size(),
                pupil,
                DAY.plusDays(days),
                new Attempt.Task(RINGS.id(), RUNG, List.of(), Side.STRONG),
                set,
                new Attempt.Counts(hits, hits, misses, hits + misses, null),
                RoundTime.full(60),
                new Attempt.Things(null, null, null),
                new Attempt.Setting(null, null, Attempt.Where.SCHOOL),
                new Attempt.Worth(RoundResult.Source.ADULT, true, false, false),
                null,
                List.of()));
    }
}
