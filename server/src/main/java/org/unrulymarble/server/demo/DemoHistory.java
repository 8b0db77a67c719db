package org.unrulymarble.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Challenge;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.server.store.Pupil;

/** Eleven lessons' worth of tries, drawn from {@link PupilModel}s. Holds tries only; every conclusion is the application's. */
final class DemoHistory {

    private static final int SETS = 2;
    /** The adult watches so many pupils a lesson and taps for them; for the others the partner counts. */
    private static final int WATCHED = 4;

    private final Catalogue catalogue;
    private final List<Pupil> pupils;
    private final Map<Pupil, PupilModel> models = new HashMap<>();
    private final Map<Pupil, Map<String, Integer>> rungNumbers = new HashMap<>();
    private final List<Attempt> attempts = new ArrayList<>();

    DemoHistory(Catalogue catalogue, List<Pupil> pupils, long seed) {
        this.catalogue = catalogue;
        this.pupils = pupils;
        SplittableRandom random = new SplittableRandom(seed);
        for (int i = 0; i < pupils.size(); i++) {
            models.put(pupils.get(i), new PupilModel(pupils.get(i).details(), i, random.split()));
            rungNumbers.put(pupils.get(i), new HashMap<>());
        }
    }

    /**
     * Plays one lesson: each pupil practises each ladder on the first rung not yet through.
     *
     * @param fromLast 0 for the latest lesson; one pupil was away for the last three
     */
    void lesson(LocalDate day, String space, List<String> ladderIds, int number, int fromLast) {
        Set<Integer> watched = new HashSet<>();
        for (int k = 0; k < WATCHED; k++) watched.add((number * WATCHED + k) % pupils.size());
        for (int i = 0; i < pupils.size(); i++) {
            boolean away = i == 7 && fromLast < 3;
            if (away) continue;
            for (String ladderId : ladderIds)
                practise(pupils.get(i), catalogue.ladder(ladderId).orElseThrow(), day, space, watched.contains(i));
        }
    }

    List<Attempt> attempts() {
        return attempts;
    }

    private void practise(Pupil pupil, Ladder ladder, LocalDate day, String space, boolean watched) {
        PupilModel model = models.get(pupil);
        int rungNumber = rungNumbers.get(pupil).getOrDefault(ladder.id(), 0);
        Rung rung = ladder.rungs().get(rungNumber);
        Integer workSec = rung.measure().compared() == Measure.Compared.BY_TRIES
                ? null
                : rung.doses().clock().workSec();
        boolean metOnEverySide = true;
        for (Side side : Side.of(rung.sides())) {
            boolean met = false;
            for (int set = 1; set <= SETS; set++) {
                PupilModel.Round round = model.round(ladder, rung, side, workSec == null ? 60 : workSec);
                Attempt attempt = attempt(pupil, ladder, rung, day, space, side, set, workSec, round, watched);
                attempts.add(attempt);
                met |= Challenge.met(rung, attempt);
            }
            metOnEverySide &= met;
        }
        model.practise(ladder.family());
        if (metOnEverySide && rungNumber < ladder.rungs().size() - 1)
            rungNumbers.get(pupil).put(ladder.id(), rungNumber + 1);
    }

    private static Attempt attempt(
            Pupil pupil,
            Ladder ladder,
            Rung rung,
            LocalDate day,
            String space,
            Side side,
            int set,
            Integer workSec,
            PupilModel.Round round,
            boolean watched) {
        boolean counted = rung.measure().compared() == Measure.Compared.BY_TRIES
                || (watched && rung.measure().tappable());
        return new Attempt(
                UUID.randomUUID().toString(),
                pupil.id().toString(),
                day,
                new Attempt.Task(ladder.id(), rung.id(), List.of(), side),
                set,
                new Attempt.Counts(
                        round.score(),
                        counted || rung.measure() instanceof CountInTime ? round.hits() : null,
                        counted ? round.misses() : null,
                        counted ? round.hits() + round.misses() : null,
                        null),
                workSec == null ? null : new RoundTime(workSec, workSec),
                new Attempt.Things(ladder.ball().orElse(null), null, null),
                new Attempt.Setting(null, space, Attempt.Where.SCHOOL),
                new Attempt.Worth(
                        watched
                                ? RoundResult.Source.ADULT
                                : ladder.perSpot() > 1 ? RoundResult.Source.PARTNER : RoundResult.Source.SELF,
                        true,
                        false,
                        false),
                null,
                List.of());
    }
}
