package org.unrulymarble.server.marks;

import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.aim.Landings;
import org.unrulymarble.core.aim.Rings;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.Odds;
import org.unrulymarble.core.chance.Streak;
import org.unrulymarble.core.clock.Fit;
import org.unrulymarble.core.clock.LessonClock;
import org.unrulymarble.core.flight.Angled;
import org.unrulymarble.core.flight.FlightAir;
import org.unrulymarble.core.flight.Rebound;
import org.unrulymarble.core.flight.Toss;
import org.unrulymarble.core.flight.TossForClaps;
import org.unrulymarble.core.flight.WallMark;
import org.unrulymarble.core.flight.WallMarkAir;
import org.unrulymarble.core.games.Bowling;
import org.unrulymarble.core.games.End;
import org.unrulymarble.core.measure.Staircase;
import org.unrulymarble.core.place.Spots;
import org.unrulymarble.core.propose.Propose;
import org.unrulymarble.core.propose.ProposeAsk;
import org.unrulymarble.core.propose.Proposer;
import org.unrulymarble.core.record.Due;
import org.unrulymarble.core.rotation.Groups;
import org.unrulymarble.core.skill.Skill;

/** One question, one answer, nothing kept. Field names and units are the core's own. */
@RestController
@RequestMapping("/api/reckon")
class ReckonController {

    private final Proposer proposer;

    ReckonController(Proposer proposer) {
        this.proposer = proposer;
    }

    /** The clock's figures; its segments, which can be many thousands, belong to a run's script. */
    record ClockAnswer(
            long totalSec, long activeSecPerPupil, double activeShare, List<LessonClock.BlockClock> blocks) {}

    @PostMapping("/clock")
    ClockAnswer clock(@RequestBody LessonClock.ClockAsk ask) {
        LessonClock clock = LessonClock.of(ask);
        return new ClockAnswer(clock.totalSec(), clock.activeSecPerPupil(), clock.activeShare(), clock.blocks());
    }

    @PostMapping("/spots")
    Spots spots(@RequestBody Spots.SpotsAsk ask) {
        return Spots.of(ask);
    }

    @PostMapping("/fit")
    Fit fit(@RequestBody Fit.FitAsk ask) {
        return Fit.of(ask);
    }

    @PostMapping("/toss")
    Toss toss(@RequestBody Toss.TossAsk ask) {
        return Toss.of(ask);
    }

    @PostMapping("/toss-for-claps")
    TossForClaps tossForClaps(@RequestBody TossForClaps.TossForClapsAsk ask) {
        return TossForClaps.of(ask);
    }

    @PostMapping("/wall-mark")
    WallMark wallMark(@RequestBody WallMark.WallMarkAsk ask) {
        return WallMark.of(ask);
    }

    @PostMapping("/rebound")
    Rebound rebound(@RequestBody Rebound.ReboundAsk ask) {
        return Rebound.of(ask);
    }

    @PostMapping("/angled")
    Angled angled(@RequestBody Angled.AngledAsk ask) {
        return Angled.of(ask);
    }

    @PostMapping("/rings")
    Rings rings(@RequestBody Rings.RingsAsk ask) {
        return Rings.of(ask);
    }

    @PostMapping("/landings")
    Landings landings(@RequestBody Landings.LandingsAsk ask) {
        return Landings.of(ask);
    }

    @PostMapping("/streak")
    Streak streak(@RequestBody Streak.StreakAsk ask) {
        return Streak.of(ask);
    }

    @PostMapping("/odds")
    Odds odds(@RequestBody Odds.OddsAsk ask) {
        return Odds.of(ask);
    }

    @PostMapping("/mastery")
    Mastery mastery(@RequestBody Mastery.MasteryAsk ask) {
        return Mastery.of(ask);
    }

    @PostMapping("/staircase")
    Staircase staircase(@RequestBody Staircase.StaircaseAsk ask) {
        return Staircase.of(ask);
    }

    @PostMapping("/ends")
    End end(@RequestBody End.EndAsk ask) {
        return End.of(ask);
    }

    @PostMapping("/bowling")
    Bowling bowling(@RequestBody Bowling.BowlingAsk ask) {
        return Bowling.of(ask);
    }

    @PostMapping("/flight-air")
    FlightAir flightAir(@RequestBody FlightAir.FlightAirAsk ask) {
        return FlightAir.of(ask);
    }

    @PostMapping("/wall-mark-air")
    WallMarkAir wallMarkAir(@RequestBody WallMarkAir.WallMarkAirAsk ask) {
        return WallMarkAir.of(ask);
    }

    @PostMapping("/due")
    Due due(@RequestBody Due.DueAsk ask) {
        return Due.of(ask);
    }

    @PostMapping("/skill")
    Skill skill(@RequestBody Skill.SkillAsk ask) {
        return Skill.of(ask);
    }

    @PostMapping("/groups")
    Groups groups(@RequestBody Groups.GroupsAsk ask) {
        return Groups.of(ask);
    }

    @PostMapping("/propose")
    Propose propose(@RequestBody ProposeAsk ask) {
        return proposer.propose(ask);
    }
}
