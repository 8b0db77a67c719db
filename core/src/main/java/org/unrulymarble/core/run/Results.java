package org.unrulymarble.core.run;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.measure.Scored;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.run.Played.RoundKey;
import org.unrulymarble.core.run.RoundResult.Source;

/** What was scored: of each pupil and round the number told, else what the taps come to by the measure of the pupil's rung. */
final class Results {

    record TallyKey(int segment, int take, String pupilId) {
        RoundKey round() {
            return new RoundKey(segment, take);
        }
    }

    record BlockDevice(int block, String device) {}

    private final RunScript script;
    private final Played played;
    private final Map<TallyKey, Tally> tallies;
    private final Set<BlockDevice> countMisses;
    private final UUID finish;

    /**
     * @param countMisses who taps misses too, in which block
     * @param finish the event that ended the run, or null
     */
    Results(RunScript script, Played played, Map<TallyKey, Tally> tallies, Set<BlockDevice> countMisses, UUID finish) {
        this.script = script;
        this.played = played;
        this.tallies = tallies;
        this.countMisses = countMisses;
        this.finish = finish;
    }

    /** In the order of the script. */
    List<RoundResult> all() {
        List<RoundResult> out = new ArrayList<>();
        tallies.forEach((key, counted) -> {
            if (played.isDropped(key.round())) return;
            RunScript.Crew crew = script.crewOf(script.segment(key.segment()), key.pupilId());
            if (crew == null) return;
            if (measure(key) instanceof Match) out.addAll(match(key, counted, crew));
            else if (measure(key) instanceof NoBalls rules && relieved(counted, crew))
                out.addAll(bowled(key, counted, crew, rules));
            else
                known(key, counted)
                        .ifPresent(k -> out.add(result(
                                key, k, source(k, counted, crew), besides(crew.workers(), key.pupilId(), counted))));
        });
        out.sort(Comparator.comparingInt(RoundResult::segment)
                .thenComparingInt(RoundResult::take)
                .thenComparing(RoundResult::pupilId));
        return List.copyOf(out);
    }

    private record Known(Scored scored, boolean tapped) {}

    /** A number told afterwards is the last word; the taps stand beside it only where they agree. */
    private Optional<Known> known(TallyKey key, Tally counted) {
        Measure measure = measure(key);
        List<Tap> taps = counted.standing();
        Scored tapped =
                taps.isEmpty() ? null : measure.score(taps, missesCounted(key, counted), played.workedMs(key.round()));
        boolean asTapped = tapped != null && tapped.score() != null;
        What.Told told = counted.told();
        if (told != null && !(asTapped && told.score().equals(tapped.score())))
            return Optional.of(new Known(measure.told(told.score(), told.timeMs()), false));
        return asTapped ? Optional.of(new Known(tapped, true)) : Optional.empty();
    }

    /** Who share what they do have one sheet and no relief. */
    private static boolean relieved(Tally counted, RunScript.Crew crew) {
        return crew.workers().size() == 1 && counted.standing().stream().anyMatch(Tap.Bowls.class::isInstance);
    }

    /** The sheet is kept under the crew's worker; a relief bowler's balls are on the relief bowler's page. */
    private List<RoundResult> bowled(TallyKey key, Tally counted, RunScript.Crew crew, NoBalls rules) {
        List<RoundResult> out = new ArrayList<>();
        rules.byBowler(key.pupilId(), counted.standing(), missesCounted(key, counted))
                .forEach((bowler, scored) -> {
                    boolean own = bowler.equals(key.pupilId());
                    What.Told told = own ? counted.told() : null;
                    if (told == null && scored.hits() == 0 && (scored.misses() == null || scored.misses() == 0)) return;
                    boolean asTapped = told == null || told.score().equals(scored.score());
                    Known known = asTapped
                            ? new Known(scored, true)
                            : new Known(rules.told(told.score(), told.timeMs()), false);
                    out.add(result(key, bowler, known, source(known, counted, crew), List.of(), time(key)));
                });
        return out;
    }

    private boolean missesCounted(TallyKey key, Tally counted) {
        return countMisses.contains(
                new BlockDevice(script.segment(key.segment()).block(), counted.standingDevice()));
    }

    private Source source(Known known, Tally counted, RunScript.Crew crew) {
        if (known.tapped()) return Source.ADULT;
        if (counted.toldAfter(finish)) return Source.TYPED;
        return crew.helpers().isEmpty() ? Source.SELF : Source.PARTNER;
    }

    private RoundResult result(TallyKey key, Known known, Source source, List<String> jointWith) {
        return result(key, known, source, jointWith, time(key));
    }

    /** @param time null where no clock ended the round */
    private RoundResult result(TallyKey key, Known known, Source source, List<String> jointWith, RoundTime time) {
        return result(key, key.pupilId(), known, source, jointWith, time);
    }

    /** @param pupilId whose result it is, where the sheet is kept under another */
    private RoundResult result(
            TallyKey key, String pupilId, Known known, Source source, List<String> jointWith, RoundTime time) {
        Scored s = known.scored();
        return new RoundResult(
                pupilId,
                key.segment(),
                key.take(),
                s.score(),
                s.hits(),
                s.misses(),
                s.tries(),
                s.inARow(),
                time,
                source,
                played.rungOf(key.segment(), key.pupilId()),
                played.isChosen(key.segment(), key.pupilId()),
                played.isTrial(key.round()),
                s.detail(),
                jointWith);
    }

    /** Where so many are asked for, or less is better, no clock ends the round. */
    private RoundTime time(TallyKey key) {
        RunScript.ScriptBlock block = script.blockOf(script.segment(key.segment()));
        if (block.reps() != null || measure(key).lessIsBetter()) return null;
        int workedSec = (int) Math.round(played.workedMs(key.round()) / 1000.0);
        return new RoundTime(workedSec, block.timeIsLimit() ? null : (Integer) block.workSec());
    }

    private Measure measure(TallyKey key) {
        Segment segment = script.segment(key.segment());
        return script.blockOf(segment).measure(played.rungOf(key.segment(), key.pupilId()));
    }

    /** The sheet of a match is kept under the crew's first worker; each side's points are joint on the pages of its own. */
    private List<RoundResult> match(TallyKey key, Tally counted, RunScript.Crew crew) {
        List<RoundResult> out = new ArrayList<>();
        if (counted.told() != null) {
            Known told = new Known(Scored.only(counted.told().score()), false);
            out.add(result(key, told, source(told, counted, crew), team(crew, key.pupilId(), counted)));
        }
        List<Tap> taps = counted.standing();
        if (taps.stream().noneMatch(Tap.EndWon.class::isInstance)) return out;
        boolean over = measure(key) instanceof Match rules && rules.isOver(taps);
        for (String worker : crew.workers()) {
            TallyKey own = new TallyKey(key.segment(), key.take(), worker);
            // A number that was told for this pupil is the last word.
            if (tallies.containsKey(own) && tallies.get(own).told() != null) continue;
            Tap.Team team = teamOf(crew, worker);
            List<String> against = crew.workers().stream()
                    .filter(w -> teamOf(crew, w) != team && !counted.wasAway(w))
                    .toList();
            Scored points =
                    Scored.only(Match.points(taps, team)).with(new Detail.Played(Match.ends(taps, team), against));
            out.add(result(
                    own, new Known(points, true), Source.ADULT, team(crew, worker, counted), over ? null : time(own)));
        }
        return out;
    }

    /** The first half of a crew is side A; the odd one plays with it. */
    private static Tap.Team teamOf(RunScript.Crew crew, String worker) {
        return crew.workers().indexOf(worker) < (crew.workers().size() + 1) / 2 ? Tap.Team.A : Tap.Team.B;
    }

    private static List<String> team(RunScript.Crew crew, String pupilId, Tally counted) {
        return besides(
                crew.workers().stream()
                        .filter(w -> teamOf(crew, w) == teamOf(crew, pupilId))
                        .toList(),
                pupilId,
                counted);
    }

    /** Whoever was put aside has no part in what the others did. */
    private static List<String> besides(List<String> all, String pupilId, Tally counted) {
        return all.stream()
                .filter(w -> !w.equals(pupilId) && !counted.wasAway(w))
                .toList();
    }
}
