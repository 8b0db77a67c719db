package org.unrulymarble.core.plan.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.ScriptWriter;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.World;
import org.unrulymarble.core.plan.findings.SoundLessonsTest.Work;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.core.run.RunLog;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.core.run.What;

/** Each kind of work from its plan to the record: script, log of a run with a number told for every round, attempts, challenges. */
class PlayedLessonsTest {

    private static final long START = 1_800_000_000_000L;
    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final int SCORE = 5;

    @ParameterizedTest
    @EnumSource(Work.class)
    void everybody_works_as_often_and_every_round_is_in_the_record(Work work) {
        played(SoundLessonsTest.lessonOf(work), SoundLessonsTest.settingOf(work));
    }

    @ParameterizedTest
    @EnumSource(Work.class)
    void so_it_does_for_an_odd_number(Work work) {
        played(SoundLessonsTest.lessonOf(work), SoundLessonsTest.settingOf(work).of(World.aged(12, 13)));
    }

    /** A lone pupil has nobody to change with, and is still asked and scored. */
    @ParameterizedTest
    @EnumSource(Work.class)
    void so_it_does_for_one_pupil_alone(Work work) {
        Setting setting = SoundLessonsTest.settingOf(work);
        Lesson lesson = SoundLessonsTest.lessonOf(work);
        List<Attempt> all = played(lesson, setting.of(World.aged(12, 1)));
        assertThat(all).allSatisfy(a -> assertThat(a.jointWith()).isEmpty());
    }

    @Test
    void a_match_that_its_score_ended_was_not_broken_off_and_one_that_was_left_was() {
        RunScript script = ScriptWriter.write(
                World.lesson(20, World.task("nearest-the-jack", "to-seven")), World.setting(World.YARD, 2));
        Segment round = script.segments().stream()
                .filter(s -> s.kind() == Segment.Kind.WORK)
                .findFirst()
                .orElseThrow();
        assertThat(afterNineSeconds(script, round, 4)).allMatch(r -> r.time().isBrokenOff());
        assertThat(afterNineSeconds(script, round, 4, 3)).hasSize(2).allMatch(r -> r.time() == null);
    }

    /** Ends that the first side won one after the other; then the round is left. */
    private static List<RoundResult> afterNineSeconds(RunScript script, Segment round, int... ends) {
        String first = script.turnOf(round).crews().get(0).workers().get(0);
        List<RunEvent> log = new ArrayList<>();
        add(log, 0, new What.Go(round.index(), 0L));
        for (int points : ends)
            add(log, 5, new What.Tapped(round.index(), 1, first, new Tap.EndWon(Tap.Team.A, points)));
        add(log, 9, new What.Finish());
        return new RunLog(script).add(log).fold(START + 9_000).results();
    }

    private static List<Attempt> played(Lesson lesson, Setting setting) {
        RunScript script = ScriptWriter.write(lesson, setting);
        List<RunEvent> log = new ArrayList<>();
        add(log, 0, new What.Go(0, 0L));
        Set<String> asked = new HashSet<>();
        Map<String, Integer> worked = new HashMap<>();
        for (Segment round : script.segments()) {
            if (round.kind() != Segment.Kind.WORK) continue;
            RunScript.ScriptBlock block = script.blockOf(round);
            if (block.kind() != RunScript.BlockKind.TASK) continue;
            for (RunScript.Crew crew : script.turnOf(round).crews())
                for (String pupil : crew.workers()) {
                    worked.merge(round.block() + "/" + pupil, 1, Integer::sum);
                    if (!block.counted()) continue;
                    asked.add(round.index() + "/" + pupil);
                    boolean watch = measure(block, pupil, round).lessIsBetter();
                    add(
                            log,
                            round.startSec() + round.durationSec(),
                            new What.Told(round.index(), 1, pupil, SCORE, watch ? (Integer) 5_000 : null));
                }
        }
        assertThat(asked).isNotEmpty();
        // Of each block everybody had as many turns of work.
        Map<String, Set<Integer>> turnsOf = new HashMap<>();
        worked.forEach((key, n) ->
                turnsOf.computeIfAbsent(key.split("/")[0], k -> new HashSet<>()).add(n));
        assertThat(turnsOf.values()).allSatisfy(n -> assertThat(n).hasSize(1));
        assertThat(worked).hasSize(turnsOf.size() * setting.pupils().size());

        Segment end = script.segments().get(script.segments().size() - 1);
        long endMs = START + 1000L * (end.startSec() + end.durationSec());
        List<RoundResult> results = new RunLog(script).add(log).fold(endMs).results();
        assertThat(results.stream().map(r -> r.segment() + "/" + r.pupilId()))
                .containsExactlyInAnyOrderElementsOf(asked);

        List<Attempt> attempts = new ArrayList<>();
        for (RoundResult r : results)
            attempts.add(Attempt.ofRound(r.segment() + "-" + r.pupilId(), r, script, DAY, "a ball", "a room"));
        assertThat(attempts).allSatisfy(a -> assertThat(a.score()).isEqualTo(SCORE));
        assertThat(Challenge.of(attempts, setting.catalogue()).stream()
                        .map(c -> c.ladderId() + "/" + c.rungId() + "/" + c.pupilId()))
                .containsExactlyInAnyOrderElementsOf(attempts.stream()
                        .map(a -> a.ladderId() + "/" + a.rungId() + "/" + a.pupilId())
                        .collect(Collectors.toSet()));
        return attempts;
    }

    private static Measure measure(RunScript.ScriptBlock block, String pupil, Segment round) {
        return block.rung(block.rungOf(pupil, round.set())).measure();
    }

    private static void add(List<RunEvent> log, long sec, What what) {
        log.add(new RunEvent(new UUID(0x7000, log.size() + 1), START + 1000 * sec, "tablet", what));
    }

    /** docs/jobs.md has a row for each, and the journeys that it names are there. */
    @Test
    void the_list_of_jobs_names_them_all() throws IOException {
        String jobs = Files.readString(Path.of("../docs/jobs.md"));
        assertThat(Stream.of(Work.values()).map(Enum::name))
                .allSatisfy(name -> assertThat(jobs).contains("`" + name + "`"));
        assertThat(Pattern.compile("`(\\w+JourneyTest)`")
                        .matcher(jobs)
                        .results()
                        .map(m -> m.group(1)))
                .isNotEmpty()
                .allSatisfy(name -> assertThat(Path.of("../e2e/src/test/java/org/unrulymarble/e2e", name + ".java"))
                        .exists());
    }
}
