package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.unrulymarble.core.chance.RateSpread;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.run.What;
import org.unrulymarble.core.skill.Ability;
import org.unrulymarble.core.skill.LearntSkill;
import org.unrulymarble.core.skill.SkillFigures;

/** Where the pupils of a class stand and what they can do, as a plan needs it: the same ability that their pages show. */
public final class Standings {

    /** Nothing is known of anybody. */
    public static final Standings NONE =
            new Standings(new Judge(Readiness.USUAL, LearntSkill.NOTHING, LocalDate.EPOCH), List.of());

    /**
     * One pupil on one ladder.
     *
     * @param rungId where they stand, by whatever was said or done
     * @param ability today, logits, the mean of the sides that were tried there; with its {@code sd}
     * @param known whether any try or gate says something
     */
    public record Able(String pupilId, String ladderId, String rungId, double ability, double sd, boolean known) {

        public static Able of(OnLadder r) {
            List<OnLadder.OnSide> seen =
                    r.sides().stream().filter(OnLadder.OnSide::known).toList();
            if (seen.isEmpty()) return new Able(r.pupilId(), r.ladderId(), r.rungId(), 0, 0, false);
            return new Able(
                    r.pupilId(),
                    r.ladderId(),
                    r.rungId(),
                    seen.stream()
                            .mapToDouble(OnLadder.OnSide::ability)
                            .average()
                            .orElseThrow(),
                    Math.sqrt(seen.stream()
                            .mapToDouble(s -> s.abilitySd() * s.abilitySd())
                            .average()
                            .orElseThrow()),
                    true);
        }
    }

    private record Key(String pupilId, String ladderId) {}

    private final Judge judge;
    private final Map<Key, Able> able = new HashMap<>();
    private final Map<Key, String> chosen = new HashMap<>();

    public Standings(Judge judge, List<Able> able) {
        this(judge, able, List.of());
    }

    /** @param remarks in the order of their days: what was chosen last is where the next choice begins */
    public Standings(Judge judge, List<Able> able, List<PupilRemark> remarks) {
        this.judge = judge;
        for (PupilRemark r : remarks)
            if (r.kind() == What.Remarked.Kind.CHOSE) chosen.put(new Key(r.pupilId(), r.ladderId()), r.rungId());
        for (Able a : able) this.able.put(new Key(a.pupilId(), a.ladderId()), a);
    }

    /** What a pupil can do on a ladder; empty where no try says anything. */
    public Optional<Able> able(String pupilId, Ladder ladder) {
        return Optional.ofNullable(able.get(new Key(pupilId, ladder.id()))).filter(Able::known);
    }

    /** The rung that a pupil works on: where they stand, else the first. */
    public Rung ownRung(String pupilId, Ladder ladder) {
        return Optional.ofNullable(able.get(new Key(pupilId, ladder.id())))
                .flatMap(a -> ladder.rung(a.rungId()))
                .orElse(ladder.rungs().get(0));
    }

    /** The rung that a pupil chose the last time, else their own. */
    public Rung chosenRung(String pupilId, Ladder ladder) {
        return Optional.ofNullable(chosen.get(new Key(pupilId, ladder.id())))
                .flatMap(ladder::rung)
                .orElseGet(() -> ownRung(pupilId, ladder));
    }

    /** How often a pupil's tries on a rung go in, in logits, with what is not known of it; the form of the day is part of that. */
    public record Likely(double mean, double sd) {}

    public Likely likely(String pupilId, Ladder ladder, Rung rung) {
        SkillFigures figures = judge.learnt().figures();
        Optional<Able> known = able(pupilId, ladder);
        return new Likely(
                known.map(a -> a.ability() - judge.difficulties(ladder).of(rung.id()))
                        .orElse(Ability.logit(rung.pace().share())),
                Math.hypot(known.map(Able::sd).orElse(figures.priorSd()), figures.formSd()));
    }

    /**
     * Adds how often a pupil's tries will go in on a rung, the form of the day included: by their own ability, or, where nobody knows that, at the
     * rung's planning rate with the spread of pupils.
     */
    public void addTo(RateSpread rates, String pupilId, Ladder ladder, Rung rung) {
        Likely likely = likely(pupilId, ladder, rung);
        rates.add(likely.mean(), likely.sd());
    }
}
