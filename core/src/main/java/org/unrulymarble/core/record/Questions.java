package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Side;

/** The questions that a teacher asks of a class's record, answered from attempts and advice alone. */
public final class Questions {

    private static final int NOT_SEEN_DAYS = 21;
    private static final int THIS_WEEK_DAYS = 7;
    private static final double SURELY_BEHIND = 0.9;

    private Questions() {}

    /** What can be asked. */
    public enum Question {
        READY_TO_GO_UP,
        BETTER_A_RUNG_BACK,
        OTHER_SIDE_BEHIND,
        NOT_SEEN,
        NEVER_TRIED,
        BEST_THIS_WEEK,
        ALL_RUNGS_DONE
    }

    /**
     * One answer.
     *
     * @param ladderId,rungId where it is about one, else null
     * @param side the side that is behind, has fallen below the floor, or was bettered; else null
     * @param chance how sure it is, where it is reckoned; else null
     * @param on the day when it was last seen, or bettered; else null
     */
    public record Found(
            Question question,
            String pupilId,
            @Nullable String ladderId,
            @Nullable String rungId,
            @Nullable Side side,
            @Nullable Double chance,
            @Nullable LocalDate on) {}

    /** What is found of single pupils, ladder by ladder, and of the class as a whole. */
    public static List<Found> of(
            List<String> pupilIds, List<String> ladderIds, List<OnLadder> records, LocalDate today) {
        Map<String, List<OnLadder>> byPupil = new HashMap<>();
        for (OnLadder r : records)
            byPupil.computeIfAbsent(r.pupilId(), k -> new ArrayList<>()).add(r);
        List<Found> found = new ArrayList<>();
        for (String pupilId : pupilIds) {
            List<OnLadder> mine = byPupil.getOrDefault(pupilId, List.of());
            Optional<LocalDate> last =
                    mine.stream().map(OnLadder::lastOn).filter(Objects::nonNull).max(Comparator.naturalOrder());
            if (last.isEmpty() || last.get().isBefore(today.minusDays(NOT_SEEN_DAYS)))
                found.add(new Found(Question.NOT_SEEN, pupilId, null, null, null, null, last.orElse(null)));
            Map<String, OnLadder> there = new HashMap<>();
            for (OnLadder r : mine) there.put(r.ladderId(), r);
            for (String ladderId : ladderIds) {
                OnLadder r = there.get(ladderId);
                if (r == null || r.rounds() == 0)
                    found.add(new Found(Question.NEVER_TRIED, pupilId, ladderId, null, null, null, null));
                else found.addAll(r.found());
            }
        }
        return List.copyOf(found);
    }

    /**
     * What is found of one pupil on one ladder.
     *
     * @param mine that pupil's attempts there, challenges what they tell
     */
    static List<Found> onLadder(
            Advice a, Behind behind, Ladder ladder, List<Attempt> mine, List<Challenge> challenges, LocalDate today) {
        List<Found> found = new ArrayList<>();
        if (mine.isEmpty()) return found;
        boolean allDone = ladder.rungs().stream()
                .allMatch(r -> challenges.stream()
                        .anyMatch(
                                c -> c.rungId().equals(r.id()) && c.modifiers().isEmpty() && c.completed()));
        if (allDone) found.add(new Found(Question.ALL_RUNGS_DONE, a.pupilId(), ladder.id(), null, null, null, null));
        if (a.verdict() == Mastery.Advice.UP && a.nextRungId() != null) {
            // Both sides must hold: the less certain one says how sure it is.
            Double holds = a.sides().stream()
                    .map(SideAdvice::chanceHolds)
                    .min(Comparator.naturalOrder())
                    .orElse(null);
            found.add(new Found(Question.READY_TO_GO_UP, a.pupilId(), ladder.id(), a.rungId(), null, holds, null));
        }
        if (a.verdict() == Mastery.Advice.BACK && a.rungBelowId() != null) {
            // One side is enough: the one that has fallen furthest.
            SideAdvice fallen = a.sides().stream()
                    .max(Comparator.comparingDouble(SideAdvice::chanceBelowFloor))
                    .orElseThrow();
            found.add(new Found(
                    Question.BETTER_A_RUNG_BACK,
                    a.pupilId(),
                    ladder.id(),
                    a.rungId(),
                    fallen.side(),
                    fallen.chanceBelowFloor(),
                    null));
        }
        if (behind != null && behind.chance() >= SURELY_BEHIND)
            found.add(new Found(
                    Question.OTHER_SIDE_BEHIND,
                    a.pupilId(),
                    ladder.id(),
                    a.rungId(),
                    behind.side(),
                    behind.chance(),
                    null));
        bests(mine, ladder, today, found);
        return found;
    }

    /** Bests of the last week that bettered an earlier day's; a first round is no best. */
    private static void bests(List<Attempt> mine, Ladder ladder, LocalDate today, List<Found> found) {
        Map<Attempt.Kindred, List<Attempt>> alike = new HashMap<>();
        for (Attempt a : mine)
            ladder.rung(a.rungId())
                    .map(a::measure)
                    .filter(m -> Against.counts(a, m))
                    .ifPresent(m -> alike.computeIfAbsent(a.kindred(m), k -> new ArrayList<>())
                            .add(a));
        List<Found> bests = new ArrayList<>();
        LocalDate since = today.minusDays(THIS_WEEK_DAYS);
        alike.forEach((kind, tried) -> {
            Comparator<Attempt> merit = Challenge.byMerit(
                    tried.get(0).measure(ladder.rung(kind.task().rungId()).orElseThrow()));
            Optional<Attempt> before =
                    tried.stream().filter(a -> a.on().isBefore(since)).max(merit);
            Optional<Attempt> lately =
                    tried.stream().filter(a -> !a.on().isBefore(since)).max(merit);
            if (before.isPresent() && lately.isPresent() && merit.compare(lately.get(), before.get()) > 0)
                bests.add(new Found(
                        Question.BEST_THIS_WEEK,
                        kind.pupilId(),
                        kind.task().ladderId(),
                        kind.task().rungId(),
                        kind.task().side(),
                        null,
                        lately.get().on()));
        });
        bests.sort(Comparator.comparing(Found::rungId).thenComparing(Found::side));
        found.addAll(bests);
    }
}
