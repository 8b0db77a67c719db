package org.unrulymarble.server.marks;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.aim.AimSheet;
import org.unrulymarble.core.aim.Landings;
import org.unrulymarble.core.aim.Rings;
import org.unrulymarble.core.chance.Calls;
import org.unrulymarble.core.chance.GateFor;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.NumberCall;
import org.unrulymarble.core.chance.Odds;
import org.unrulymarble.core.chance.Rates;
import org.unrulymarble.core.chance.Share;
import org.unrulymarble.core.chance.Streak;
import org.unrulymarble.core.clock.Fit;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.flight.Angled;
import org.unrulymarble.core.flight.BounceSpot;
import org.unrulymarble.core.flight.FlightAir;
import org.unrulymarble.core.flight.LeanedBoard;
import org.unrulymarble.core.flight.NetOnWall;
import org.unrulymarble.core.flight.OffTheWall;
import org.unrulymarble.core.flight.Reaction;
import org.unrulymarble.core.flight.Rebound;
import org.unrulymarble.core.flight.Toss;
import org.unrulymarble.core.flight.TossForClaps;
import org.unrulymarble.core.flight.UnderCeiling;
import org.unrulymarble.core.flight.WallMark;
import org.unrulymarble.core.flight.WallMarkAir;
import org.unrulymarble.core.games.Bowling;
import org.unrulymarble.core.games.BowlingSheet;
import org.unrulymarble.core.games.End;
import org.unrulymarble.core.games.JackMatch;
import org.unrulymarble.core.measure.MatchSoFar;
import org.unrulymarble.core.measure.Reach;
import org.unrulymarble.core.measure.Staircase;
import org.unrulymarble.core.place.RoomSheet;
import org.unrulymarble.core.place.Slalom;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.propose.Propose;
import org.unrulymarble.core.propose.ProposeAsk;
import org.unrulymarble.core.propose.Proposer;
import org.unrulymarble.core.record.Due;
import org.unrulymarble.core.rotation.Groups;
import org.unrulymarble.core.rotation.Partners;
import org.unrulymarble.core.rotation.Roles;
import org.unrulymarble.core.rotation.Stations;
import org.unrulymarble.core.skill.Skill;

/** Every question that is answered and not kept, under the name in its address: plain reckonings, and those of the board of workings, put together as drawn. */
@Component
public class Reckonings {

    /**
     * @param ask,answer what comes and what goes; field names and units are the core's own
     * @param of the core's reckoning
     */
    public record Reckoning<A, R>(String name, Class<A> ask, Class<R> answer, Function<A, R> of) {}

    /** The clock's figures; its segments, which can be many thousands, belong to a run's script. */
    public record ClockAnswer(
            long totalSec, long activeSecPerPupil, double activeShare, List<LessonClock.BlockClock> blocks) {

        static ClockAnswer of(LessonClock.ClockAsk ask) {
            LessonClock clock = LessonClock.of(ask);
            return new ClockAnswer(clock.totalSec(), clock.activeSecPerPupil(), clock.activeShare(), clock.blocks());
        }
    }

    private final Map<String, Reckoning<?, ?>> byName;

    Reckonings(Proposer proposer) {
        byName = List.<Reckoning<?, ?>>of(
                        new Reckoning<>("clock", LessonClock.ClockAsk.class, ClockAnswer.class, ClockAnswer::of),
                        new Reckoning<>("spots", Spots.SpotsAsk.class, Spots.class, Spots::of),
                        new Reckoning<>("fit", Fit.FitAsk.class, Fit.class, Fit::of),
                        new Reckoning<>("toss", Toss.TossAsk.class, Toss.class, Toss::of),
                        new Reckoning<>(
                                "toss-for-claps",
                                TossForClaps.TossForClapsAsk.class,
                                TossForClaps.class,
                                TossForClaps::of),
                        new Reckoning<>("wall-mark", WallMark.WallMarkAsk.class, WallMark.class, WallMark::of),
                        new Reckoning<>("rebound", Rebound.ReboundAsk.class, Rebound.class, Rebound::of),
                        new Reckoning<>("angled", Angled.AngledAsk.class, Angled.class, Angled::of),
                        new Reckoning<>("rings", Rings.RingsAsk.class, Rings.class, Rings::of),
                        new Reckoning<>("landings", Landings.LandingsAsk.class, Landings.class, Landings::of),
                        new Reckoning<>("streak", Streak.StreakAsk.class, Streak.class, Streak::of),
                        new Reckoning<>("odds", Odds.OddsAsk.class, Odds.class, Odds::of),
                        new Reckoning<>("mastery", Mastery.MasteryAsk.class, Mastery.class, Mastery::of),
                        new Reckoning<>("staircase", Staircase.StaircaseAsk.class, Staircase.class, Staircase::of),
                        new Reckoning<>("ends", End.EndAsk.class, End.class, End::of),
                        new Reckoning<>("bowling", Bowling.BowlingAsk.class, Bowling.class, Bowling::of),
                        new Reckoning<>("flight-air", FlightAir.FlightAirAsk.class, FlightAir.class, FlightAir::of),
                        new Reckoning<>(
                                "wall-mark-air", WallMarkAir.WallMarkAirAsk.class, WallMarkAir.class, WallMarkAir::of),
                        new Reckoning<>("due", Due.DueAsk.class, Due.class, Due::of),
                        new Reckoning<>("skill", Skill.SkillAsk.class, Skill.class, Skill::of),
                        new Reckoning<>("groups", Groups.GroupsAsk.class, Groups.class, Groups::of),
                        new Reckoning<>("propose", ProposeAsk.class, Propose.class, proposer::propose),
                        new Reckoning<>("net-on-wall", NetOnWall.NetOnWallAsk.class, NetOnWall.class, NetOnWall::of),
                        new Reckoning<>("aim", AimSheet.AimSheetAsk.class, AimSheet.class, AimSheet::of),
                        new Reckoning<>(
                                "under-ceiling",
                                UnderCeiling.UnderCeilingAsk.class,
                                UnderCeiling.class,
                                UnderCeiling::of),
                        new Reckoning<>(
                                "off-the-wall", OffTheWall.OffTheWallAsk.class, OffTheWall.class, OffTheWall::of),
                        new Reckoning<>("reaction", Reaction.ReactionAsk.class, Reaction.class, Reaction::of),
                        new Reckoning<>(
                                "bounce-spot", BounceSpot.BounceSpotAsk.class, BounceSpot.class, BounceSpot::of),
                        new Reckoning<>(
                                "leaned-board", LeanedBoard.LeanedBoardAsk.class, LeanedBoard.class, LeanedBoard::of),
                        new Reckoning<>("gate-for", GateFor.GateForAsk.class, GateFor.class, GateFor::of),
                        new Reckoning<>("share", Share.ShareAsk.class, Share.class, Share::of),
                        new Reckoning<>("rates", Rates.RatesAsk.class, Rates.class, Rates::of),
                        new Reckoning<>("calls", Calls.CallsAsk.class, Calls.class, Calls::of),
                        new Reckoning<>(
                                "number-call", NumberCall.NumberCallAsk.class, NumberCall.class, NumberCall::of),
                        new Reckoning<>("reach-in-time", Reach.ReachAsk.class, Reach.class, Reach::of),
                        new Reckoning<>("room", RoomSheet.RoomSheetAsk.class, RoomSheet.class, RoomSheet::of),
                        new Reckoning<>("slalom", Slalom.SlalomAsk.class, Slalom.class, Slalom::of),
                        new Reckoning<>("stations", Stations.StationsAsk.class, Stations.class, Stations::of),
                        new Reckoning<>("roles", Roles.RolesAsk.class, Roles.class, Roles::of),
                        new Reckoning<>("partners", Partners.PartnersAsk.class, Partners.class, Partners::of),
                        new Reckoning<>("jack-match", JackMatch.JackMatchAsk.class, JackMatch.class, JackMatch::of),
                        // A match as a pad's taps have it.
                        new Reckoning<>(
                                "match-so-far", MatchSoFar.MatchSoFarAsk.class, MatchSoFar.class, MatchSoFar::of),
                        new Reckoning<>(
                                "bowling-sheet",
                                BowlingSheet.BowlingSheetAsk.class,
                                BowlingSheet.class,
                                BowlingSheet::of))
                .stream()
                .collect(Collectors.toMap(Reckoning::name, Function.identity()));
    }

    public Map<String, Reckoning<?, ?>> byName() {
        return Map.copyOf(byName);
    }
}
