package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.run.What;

/**
 * Up, stay, back or more tries, for one pupil on the rung where they stand. On a two-sided rung both sides must be ready, and one that falls behind
 * holds up the other.
 *
 * @param rungId the rung where the pupil stands
 * @param stands the teacher's or the pupil's choice that put them there, or null where the tries did
 * @param verdict by the school that the class chose
 * @param bySchool what each school says; the teacher's is STAY until a word is spoken
 * @param sides one for each side that the rung asks for
 * @param nextRungId the rung above, or null at the top; {@code rungBelowId} the one below, or null at the bottom
 * @param evidenceWanted what to count next time where evidence is what is missing
 * @param lastChose the rung that was chosen last in a run, beside where the pupil stands; null where none ever was
 */
public record Advice(
        String pupilId,
        String ladderId,
        String rungId,
        @Nullable Standing stands,
        Mastery.Advice verdict,
        Map<Readiness.School, Mastery.Advice> bySchool,
        List<SideAdvice> sides,
        @Nullable String nextRungId,
        @Nullable String rungBelowId,
        EvidenceWanted evidenceWanted,
        @Nullable Chose lastChose) {

    /** How the next round had better be counted. */
    public enum EvidenceWanted {
        NONE,
        /** The measure can tell misses: tap them too. */
        TAP_MISSES,
        /** It cannot: take a round of so many tries. */
        HITS_OF_TEN,
        /** Nothing is thrown there that could go in: rounds that meet the gate, or do not, are what counts. */
        ROUNDS
    }

    /** A rung that was chosen in a run, by the pupil or for them, and the day. */
    public record Chose(String rungId, LocalDate on) {}

    /** Somebody's word on where a pupil stands; kept with its day and reason, never overwritten. */
    public record Standing(
            String pupilId,
            String ladderId,
            String rungId,
            LocalDate on,
            String by,
            @Nullable String reason) {}

    /**
     * @param attempts of one pupil on one ladder, in any order
     * @param standings of the same; of one day the last one holds
     * @param remarks of the same: the pupil's own words
     */
    public static Advice of(
            String pupilId,
            Ladder ladder,
            List<Attempt> attempts,
            List<Standing> standings,
            List<PupilRemark> remarks,
            Judge judge) {
        return of(pupilId, ladder, attempts, standings, remarks, judge, true);
    }

    /** @param opened whether with the rounds that it rests on: each has a share of its own to be worked out */
    static Advice of(
            String pupilId,
            Ladder ladder,
            List<Attempt> attempts,
            List<Standing> standings,
            List<PupilRemark> remarks,
            Judge judge,
            boolean opened) {
        Readiness how = judge.how();
        Standing stands = standings.stream()
                .reduce((one, later) -> later.on().isBefore(one.on()) ? one : later)
                .filter(s -> ladder.rung(s.rungId()).isPresent())
                .orElse(null);
        Rung rung = ownRung(ladder, attempts, stands);
        List<SideAdvice> sides = new ArrayList<>();
        for (Side side : Side.of(rung.sides())) sides.add(SideAdvice.of(side, attempts, ladder, rung, judge, opened));
        Map<Readiness.School, Mastery.Advice> bySchool = new EnumMap<>(Readiness.School.class);
        for (Readiness.School school : Readiness.School.values())
            bySchool.put(
                    school,
                    switch (school) {
                        case TEACHER -> Mastery.Advice.STAY;
                        case PUPIL -> ownWord(remarks, rung);
                        default -> together(sides, school, how);
                    });
        int number = ladder.rungs().indexOf(rung);
        boolean tried = attempts.stream().anyMatch(a -> a.rungId().equals(rung.id()));
        return new Advice(
                pupilId,
                ladder.id(),
                rung.id(),
                stands,
                bySchool.get(how.school()),
                Map.copyOf(bySchool),
                List.copyOf(sides),
                number + 1 < ladder.rungs().size()
                        ? ladder.rungs().get(number + 1).id()
                        : null,
                number > 0 ? ladder.rungs().get(number - 1).id() : null,
                bySchool.get(Readiness.School.RECKONED) != Mastery.Advice.MORE || !tried
                        ? EvidenceWanted.NONE
                        : wanted(rung.measure()),
                lastChose(attempts));
    }

    /** Whether the verdict rests on what has become too old on one side at least. */
    public boolean seeAgain() {
        return sides.stream().anyMatch(SideAdvice::seeAgain);
    }

    private static Chose lastChose(List<Attempt> attempts) {
        return attempts.stream()
                .filter(Attempt::chosen)
                .max(Comparator.comparing(Attempt::on).thenComparing(Attempt::set))
                .map(a -> new Chose(a.rungId(), a.on()))
                .orElse(null);
    }

    /** Of two sides the one that is less ready decides, and one that has fallen behind before one that lacks tries. */
    private static Mastery.Advice together(List<SideAdvice> sides, Readiness.School school, Readiness how) {
        List<Mastery.Advice> said = sides.stream().map(s -> s.by(school, how)).toList();
        for (Mastery.Advice worst : List.of(Mastery.Advice.BACK, Mastery.Advice.MORE, Mastery.Advice.STAY))
            if (said.contains(worst)) return worst;
        return Mastery.Advice.UP;
    }

    private static Mastery.Advice ownWord(List<PupilRemark> remarks, Rung rung) {
        return remarks.stream()
                .filter(r -> r.kind() == What.Remarked.Kind.WORD && rung.id().equals(r.rungId()))
                .reduce((one, later) -> later.on().isBefore(one.on()) ? one : later)
                .map(r -> switch (What.Word.valueOf(r.note())) {
                    case TOO_EASY -> Mastery.Advice.UP;
                    case RIGHT -> Mastery.Advice.STAY;
                    case TOO_HARD -> Mastery.Advice.BACK;
                })
                .orElse(Mastery.Advice.MORE);
    }

    private static EvidenceWanted wanted(Measure measure) {
        if (measure.tappable()) return EvidenceWanted.TAP_MISSES;
        return EvidenceWorth.countable(measure) ? EvidenceWanted.HITS_OF_TEN : EvidenceWanted.ROUNDS;
    }

    /**
     * Where a pupil stands: on the rung that somebody named last; else on the highest that was practised as planned, since a round of the whole
     * class on an easier one moves nobody back, and one that was chosen in a run moves nobody at all; else on the first.
     */
    static Rung ownRung(Ladder ladder, List<Attempt> attempts, Standing stands) {
        if (stands != null) return ladder.rung(stands.rungId()).orElseThrow();
        return attempts.stream()
                .filter(a ->
                        !a.trial() && !a.chosen() && ladder.rung(a.rungId()).isPresent())
                .max(Comparator.comparingInt(a -> number(ladder, a.rungId())))
                .flatMap(a -> ladder.rung(a.rungId()))
                .orElse(ladder.rungs().get(0));
    }

    private static int number(Ladder ladder, String rungId) {
        return ladder.rungs().indexOf(ladder.rung(rungId).orElseThrow());
    }
}
