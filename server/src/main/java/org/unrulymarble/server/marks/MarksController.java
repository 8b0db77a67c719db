package org.unrulymarble.server.marks;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.aim.AimSheet;
import org.unrulymarble.core.chance.Calls;
import org.unrulymarble.core.chance.GateFor;
import org.unrulymarble.core.chance.NumberCall;
import org.unrulymarble.core.chance.Rates;
import org.unrulymarble.core.chance.Share;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.flight.BounceSpot;
import org.unrulymarble.core.flight.LeanedBoard;
import org.unrulymarble.core.flight.NetOnWall;
import org.unrulymarble.core.flight.OffTheWall;
import org.unrulymarble.core.flight.Reaction;
import org.unrulymarble.core.flight.UnderCeiling;
import org.unrulymarble.core.games.BowlingSheet;
import org.unrulymarble.core.games.JackMatch;
import org.unrulymarble.core.measure.MatchSoFar;
import org.unrulymarble.core.measure.Reach;
import org.unrulymarble.core.place.RoomSheet;
import org.unrulymarble.core.place.Slalom;
import org.unrulymarble.core.rotation.Partners;
import org.unrulymarble.core.rotation.Roles;
import org.unrulymarble.core.rotation.Stations;

/** What the board of workings asks beyond the plain reckonings: the same, put together as it is drawn. Nothing is kept. */
@RestController
@RequestMapping("/api")
class MarksController {

    private final Planning planning;

    MarksController(Planning planning) {
        this.planning = planning;
    }

    @GetMapping("/planning")
    Planning planning() {
        return planning;
    }

    @PostMapping("/reckon/net-on-wall")
    NetOnWall netOnWall(@RequestBody NetOnWall.NetOnWallAsk ask) {
        return NetOnWall.of(ask);
    }

    @PostMapping("/reckon/aim")
    AimSheet aim(@RequestBody AimSheet.AimSheetAsk ask) {
        return AimSheet.of(ask);
    }

    @PostMapping("/reckon/under-ceiling")
    UnderCeiling underCeiling(@RequestBody UnderCeiling.UnderCeilingAsk ask) {
        return UnderCeiling.of(ask);
    }

    @PostMapping("/reckon/off-the-wall")
    OffTheWall offTheWall(@RequestBody OffTheWall.OffTheWallAsk ask) {
        return OffTheWall.of(ask);
    }

    @PostMapping("/reckon/reaction")
    Reaction reaction(@RequestBody Reaction.ReactionAsk ask) {
        return Reaction.of(ask);
    }

    @PostMapping("/reckon/bounce-spot")
    BounceSpot bounceSpot(@RequestBody BounceSpot.BounceSpotAsk ask) {
        return BounceSpot.of(ask);
    }

    @PostMapping("/reckon/leaned-board")
    LeanedBoard leanedBoard(@RequestBody LeanedBoard.LeanedBoardAsk ask) {
        return LeanedBoard.of(ask);
    }

    @PostMapping("/reckon/gate-for")
    GateFor gateFor(@RequestBody GateFor.GateForAsk ask) {
        return GateFor.of(ask);
    }

    @PostMapping("/reckon/share")
    Share share(@RequestBody Share.ShareAsk ask) {
        return Share.of(ask);
    }

    @PostMapping("/reckon/rates")
    Rates rates(@RequestBody Rates.RatesAsk ask) {
        return Rates.of(ask);
    }

    @PostMapping("/reckon/calls")
    Calls calls(@RequestBody Calls.CallsAsk ask) {
        return Calls.of(ask);
    }

    @PostMapping("/reckon/number-call")
    NumberCall numberCall(@RequestBody NumberCall.NumberCallAsk ask) {
        return NumberCall.of(ask);
    }

    @PostMapping("/reckon/reach-in-time")
    Reach reach(@RequestBody Reach.ReachAsk ask) {
        return Reach.of(ask);
    }

    @PostMapping("/reckon/room")
    RoomSheet room(@RequestBody RoomSheet.RoomSheetAsk ask) {
        return RoomSheet.of(ask);
    }

    @PostMapping("/reckon/slalom")
    Slalom slalom(@RequestBody Slalom.SlalomAsk ask) {
        return Slalom.of(ask);
    }

    @PostMapping("/reckon/stations")
    Stations stations(@RequestBody Stations.StationsAsk ask) {
        return Stations.of(ask);
    }

    @PostMapping("/reckon/roles")
    Roles roles(@RequestBody Roles.RolesAsk ask) {
        return Roles.of(ask);
    }

    @PostMapping("/reckon/partners")
    Partners partners(@RequestBody Partners.PartnersAsk ask) {
        return Partners.of(ask);
    }

    @PostMapping("/reckon/jack-match")
    JackMatch jackMatch(@RequestBody JackMatch.JackMatchAsk ask) {
        return JackMatch.of(ask);
    }

    /** A match as a pad's taps have it. */
    @PostMapping("/reckon/match-so-far")
    MatchSoFar matchSoFar(@RequestBody MatchSoFar.MatchSoFarAsk ask) {
        return MatchSoFar.of(ask);
    }

    @PostMapping("/reckon/bowling-sheet")
    BowlingSheet bowlingSheet(@RequestBody BowlingSheet.BowlingSheetAsk ask) {
        return BowlingSheet.of(ask);
    }
}
