package org.unrulymarble.core.record;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.games.Bowling;
import org.unrulymarble.core.games.BowlingSheet;
import org.unrulymarble.core.games.BowlingSheet.BowlingSheetAsk;
import org.unrulymarble.core.games.End;
import org.unrulymarble.core.games.JackMatch;
import org.unrulymarble.core.games.JackMatch.JackMatchAsk;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Match;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;
import org.unrulymarble.core.run.RoundResult;

/** A game that was kept on a sheet of its own, outside any run: what it comes to on the pages of those who played. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = KeptGame.OfJack.class, name = "JACK"),
    @JsonSubTypes.Type(value = KeptGame.OfBowling.class, name = "BOWLING")
})
public sealed interface KeptGame {

    /** Made with the sheet: the same game kept again is the same rounds. */
    UUID id();

    LocalDate on();

    String ladderId();

    String rungId();

    /** Under which the round of a pupil is kept, however often it is. */
    default UUID roundId(String pupilId) {
        return UUID.nameUUIDFromBytes((id() + pupilId).getBytes(StandardCharsets.UTF_8));
    }

    /** Those who played, as far as they are of the class. */
    List<String> pupilIds();

    /** What the rung must be scored by. */
    Class<? extends Measure> scoredBy();

    /**
     * A round of each who played; none where nothing was played to its end.
     *
     * @param rung whose challenge it was
     */
    List<Attempt> attempts(Rung rung);

    /** Nearest the jack. @param sideA,sideB pupils of each side, captain first; who is of another class is left out */
    record OfJack(
            UUID id,
            LocalDate on,
            String ladderId,
            String rungId,
            JackMatchAsk sheet,
            List<String> sideA,
            List<String> sideB)
            implements KeptGame {

        public OfJack {
            Checks checks = begun(id, on, ladderId, rungId)
                    .required("sheet", sheet)
                    .entries("sideA", sideA, 0, sheet == null ? 0 : sheet.playersA())
                    .entries("sideB", sideB, 0, sheet == null ? 0 : sheet.playersB());
            checks.done();
            sideA = List.copyOf(sideA);
            sideB = List.copyOf(sideB);
            checks.that(!sideA.isEmpty() || !sideB.isEmpty(), "sideA", Fault.Rule.REQUIRED)
                    .distinct(
                            "sideB",
                            Stream.concat(sideA.stream(), sideB.stream()).toList())
                    .done();
        }

        @Override
        public List<String> pupilIds() {
            return Stream.concat(sideA.stream(), sideB.stream()).toList();
        }

        @Override
        public Class<? extends Measure> scoredBy() {
            return Match.class;
        }

        @Override
        public List<Attempt> attempts(Rung rung) {
            JackMatch match = JackMatch.of(sheet);
            Match rules = new Match(
                    sheet.ballsPerPlayer(),
                    sheet.targetScore(),
                    sheet.maxEnds(),
                    sheet.timeCapSec(),
                    sheet.jackRule(),
                    sheet.playerOrder(),
                    sheet.tieRule(),
                    sheet.toleranceCm(),
                    sheet.footLineKills(),
                    sheet.shortLineKills());
            List<End.Points> ends = match.ends().stream()
                    .filter(JackMatch.EndSheet::complete)
                    .map(JackMatch.EndSheet::points)
                    .toList();
            if (ends.isEmpty()) return List.of();
            List<Attempt> out = new ArrayList<>();
            for (String pupil : pupilIds()) {
                boolean a = sideA.contains(pupil);
                List<String> own = a ? sideA : sideB;
                Detail played = new Detail.Played(
                        ends.stream()
                                .map(p -> a ? new Detail.EndPoints(p.A(), p.B()) : new Detail.EndPoints(p.B(), p.A()))
                                .toList(),
                        a ? sideB : sideA);
                int points = ends.stream().mapToInt(p -> a ? p.A() : p.B()).sum();
                List<String> mates = own.stream().filter(m -> !m.equals(pupil)).toList();
                out.add(round(
                        this, rung, rules, pupil, new Attempt.Counts(points, null, null, null, null), played, mates));
            }
            return out;
        }
    }

    /** Bowling to a batter. @param bowlers pupil of each bowler by the name on the sheet; who is of another class is left out */
    record OfBowling(
            UUID id, LocalDate on, String ladderId, String rungId, BowlingSheetAsk sheet, Map<String, String> bowlers)
            implements KeptGame {

        public OfBowling {
            begun(id, on, ladderId, rungId)
                    .required("sheet", sheet)
                    .required("bowlers", bowlers)
                    .done();
            bowlers = new LinkedHashMap<>(bowlers);
            new Checks()
                    .entries("bowlers", bowlers.values(), 1, 60)
                    .distinct("bowlers", bowlers.values())
                    .done();
        }

        @Override
        public List<String> pupilIds() {
            return List.copyOf(bowlers.values());
        }

        @Override
        public Class<? extends Measure> scoredBy() {
            return NoBalls.class;
        }

        @Override
        public List<Attempt> attempts(Rung rung) {
            List<Bowling.Judged> judged = BowlingSheet.of(sheet).balls();
            List<Attempt> out = new ArrayList<>();
            bowlers.forEach((name, pupil) -> {
                int balls = 0;
                int noBalls = 0;
                int halfScores = 0;
                for (int i = 0; i < judged.size(); i++) {
                    if (!sheet.balls().get(i).bowler().equals(name)) continue;
                    balls++;
                    if (!judged.get(i).faults().isEmpty()) noBalls++;
                    // Who bowls the second no-ball running gives the half score away, whoever bowled the first.
                    if (judged.get(i).halfScore()) halfScores++;
                }
                if (balls == 0) return;
                int fair = balls - noBalls;
                out.add(round(
                        this,
                        rung,
                        new NoBalls(balls),
                        pupil,
                        new Attempt.Counts(fair, fair, noBalls, balls, null),
                        new Detail.Bowled(noBalls, halfScores, List.of()),
                        List.of()));
            });
            return out;
        }
    }

    private static Checks begun(UUID id, LocalDate on, String ladderId, String rungId) {
        return new Checks()
                .required("id", id)
                .required("on", on)
                .text("ladderId", ladderId, 60)
                .text("rungId", rungId, 60);
    }

    private static Attempt round(
            KeptGame game,
            Rung rung,
            Measure by,
            String pupil,
            Attempt.Counts counts,
            Detail detail,
            List<String> mates) {
        Side side = Side.of(rung.sides()).get(0);
        return new Attempt(
                game.roundId(pupil).toString(),
                pupil,
                game.on(),
                new Attempt.Task(
                        game.ladderId(),
                        game.rungId(),
                        List.of(),
                        side,
                        by.equals(rung.measure()) || by instanceof NoBalls ? null : by),
                1,
                counts,
                null,
                new Attempt.Things(null, null, null),
                new Attempt.Setting(null, null, Attempt.Where.SCHOOL),
                new Attempt.Worth(RoundResult.Source.ADULT, true, false, false),
                detail,
                mates);
    }
}
