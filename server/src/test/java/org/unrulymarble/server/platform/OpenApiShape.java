package org.unrulymarble.server.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The published shape of the API: every field is always there, and those that may be null say so. */
@Configuration
public class OpenApiShape {

    /** Fields that may be null, by the one name that they have everywhere. */
    private static final Set<String> NULLABLE = Set.of(
            "who",
            "version",
            "ceilingM",
            "wall",
            "heightM",
            "waves",
            "reason",
            "meanwhile",
            "workSec",
            "bestWorkSec",
            "lastWorkSec",
            "reps",
            "secPerRep",
            "birthYear",
            "shoeCm",
            "reachCm",
            "adaptation",
            "completedOn",
            "metOn",
            "firstDay",
            "lastDay",
            "hits",
            "misses",
            "tries",
            "ball",
            "space",
            "of",
            "inSec",
            "make",
            "seated",
            "oneHand",
            "meanwhileLadderId",
            "meanwhileRungId",
            "segment",
            "offsetMs",
            "take",
            "pupilId",
            "score",
            "addSec",
            "target");

    /** Schemas where a field of that name is never null. */
    private static final Map<String, Set<String>> BUT_NEVER_IN = Map.ofEntries(
            Map.entry(
                    "version",
                    Set.of(
                            "ClassView",
                            "SpaceView",
                            "LessonView",
                            "ItemView",
                            "RuleView",
                            "PersonView",
                            "MendPressed",
                            "Own")),
            Map.entry("workSec", Set.of("BlockPlan", "ScriptBlock", "ByClock")),
            Map.entry("waves", Set.of("BlockPlan")),
            Map.entry("shoeCm", Set.of("Usual")),
            Map.entry("tries", Set.of("Challenge", "Streak", "GateFor")),
            Map.entry(
                    "hits",
                    Set.of(
                            "SideAdvice",
                            "Piece",
                            "AimSheet",
                            "AimSheetAsk",
                            "RingsAsk",
                            "PupilGate",
                            "TriedShare",
                            "Counted",
                            "SharePoint",
                            "Count")),
            Map.entry("misses", Set.of("SideAdvice", "Piece", "TriedShare", "Counted", "SharePoint", "Count")),
            Map.entry("reps", Set.of("ByCount")),
            Map.entry("segment", Set.of("RoundResult", "RunClock", "Dispute", "Remark", "RoundAgainst")),
            Map.entry("offsetMs", Set.of("RunClock")),
            Map.entry("take", Set.of("RoundResult", "Dispute")),
            Map.entry(
                    "pupilId",
                    Set.of(
                            "RoundResult",
                            "Attempt",
                            "Challenge",
                            "PupilRecord",
                            "Row",
                            "Member",
                            "TriedShare",
                            "Variant",
                            "Dispute",
                            "PupilRemark",
                            "Advice",
                            "OnLadder",
                            "LadderRecord",
                            "Ranked",
                            "Standing",
                            "Found",
                            "RoundAgainst")),
            Map.entry(
                    "score", Set.of("RoundResult", "Attempt", "RoundAgainst", "Mark", "Figures", "Wanted", "TypedIn")),
            Map.entry("who", Set.of("LessonView")),
            Map.entry("adaptation", Set.of("Variant")),
            Map.entry("reason", Set.of("Silenced")),
            Map.entry("of", Set.of("Rule")),
            Map.entry("space", Set.of("LessonView")));

    /** Fields of the reckonings that are null where a question has no such answer. */
    private static final Map<String, Set<String>> NULLABLE_IN = Map.ofEntries(
            Map.entry("RunEvent", Set.of("device", "note", "xCm", "yCm")),
            Map.entry("Dispute", Set.of("stands")),
            Map.entry("RoundResult", Set.of("detail")),
            Map.entry("ScriptRung", Set.of("stairs")),
            Map.entry("Attempt", Set.of("detail", "distanceM", "target", "with")),
            Map.entry("PupilRemark", Set.of("ladderId", "rungId")),
            Map.entry("Remark", Set.of("rungId")),
            Map.entry("SideRecord", Set.of("distanceM", "target", "gain")),
            Map.entry("Mark", Set.of("timeMs")),
            Map.entry("Advice", Set.of("stands", "nextRungId", "rungBelowId")),
            Map.entry("OnLadder", Set.of("firstOn", "lastOn")),
            Map.entry("LadderRecord", Set.of("firstOn", "lastOn", "behind")),
            Map.entry("Done", Set.of("gain")),
            Map.entry("Ranked", Set.of("gain")),
            Map.entry("Found", Set.of("ladderId", "rungId", "side", "chance", "on")),
            Map.entry("Wanted", Set.of("struck")),
            Map.entry(
                    "TypedIn", Set.of("modifiers", "timeMs", "distanceM", "target", "with", "where", "seen", "trial")),
            Map.entry(
                    "RoundDetail",
                    Set.of(
                            "timeMs",
                            "splitsMs",
                            "landings",
                            "madeAtSpots",
                            "stepM",
                            "noBalls",
                            "halfScores",
                            "shareWithoutGuessing")),
            Map.entry("Scoring", Set.of("rings", "n", "spots", "balls", "draw", "noBalls", "calls", "callEverySec")),
            Map.entry("RoundAgainst", Set.of("best", "last")),
            Map.entry("Lesson", Set.of("startMin")),
            Map.entry(
                    "Block",
                    Set.of(
                            "ladderId",
                            "rungId",
                            "part",
                            "reverses",
                            "attitude",
                            "gate",
                            "mark",
                            "spot",
                            "mostSpots",
                            "note")),
            Map.entry("BlockDose", Set.of("limitSec", "makesToStep", "onMiss", "stepM")),
            Map.entry("Variant", Set.of("instead")),
            Map.entry("BlockPlan", Set.of("family", "spots")),
            Map.entry("Pacing", Set.of("halfSec", "fourOfFiveSec", "reachGate", "stepLow", "stepLikely", "stepHigh")),
            Map.entry("Finding", Set.of("blockId", "threshold", "mend", "silenced")),
            Map.entry("GatherItem", Set.of("have")),
            Map.entry("Ladder", Set.of("swingM", "net", "seesLittle")),
            Map.entry("Rung", Set.of("claps", "standM", "delivery")),
            Map.entry("KitKind", Set.of("sizeCm", "openingCm", "massG", "never")),
            Map.entry("ItemView", Set.of("count")),
            Map.entry("ItemDoc", Set.of("count")),
            Map.entry("PupilDetails", Set.of("homeSpace")),
            Map.entry("PersonDoc", Set.of("password")),
            Map.entry("ClassDoc", Set.of("helperIds")),
            Map.entry("ScriptBlock", Set.of("ladderId", "rungId", "measure", "note", "calls", "attitude", "beatSec")),
            Map.entry("WallMark", Set.of("lowMarkM", "highMarkM", "minSpeedMs", "maxSpeedMs", "netHeightMark")),
            Map.entry(
                    "Rebound",
                    Set.of(
                            "timeToCeilingSec",
                            "landsShortOfWallM",
                            "wallHeightM",
                            "timeToWallSec",
                            "firstBounceFromWallM",
                            "timeToBounceSec",
                            "heightAtThrowerM",
                            "timeBackSec")),
            Map.entry(
                    "NetOnWall",
                    Set.of(
                            "bandM",
                            "narrowerThanBall",
                            "sharedLowM",
                            "sharedHighM",
                            "plainMarkIs",
                            "highestBallM",
                            "underCeiling",
                            "fitsFromM",
                            "fitsAtDeg")),
            Map.entry("ByAngle", Set.of("lowMarkM", "highMarkM")),
            Map.entry("ByStep", Set.of("lowMarkM", "highMarkM")),
            Map.entry("OffTheWall", Set.of("catchFullFromWallM", "catchBounceFromWallM", "bounceTopM", "speedBackMs")),
            Map.entry(
                    "BounceSpot",
                    Set.of(
                            "bounceFromPasserM",
                            "shareOfWay",
                            "angleDeg",
                            "timeSec",
                            "heightByTwoThirdsM",
                            "highestAtCatcherM")),
            Map.entry(
                    "LeanedBoard",
                    Set.of("boardAlongM", "timeToBoardSec", "landsFromFootM", "timeToFloorSec", "heightAtThrowerM")),
            Map.entry(
                    "Rings",
                    Set.of(
                            "sigmaCm",
                            "sigmaLowCm",
                            "sigmaHighCm",
                            "ringShare",
                            "outsideShare",
                            "pointsPerThrow",
                            "radiusForShareCm",
                            "distanceForShareM")),
            Map.entry(
                    "AimSheet",
                    Set.of(
                            "rings",
                            "radiusForShareCm",
                            "distanceForShareM",
                            "pointsPerThrow",
                            "landings",
                            "throwsToTell")),
            Map.entry("Streak", Set.of("expectedTries", "expectedSec", "triesForHalf", "triesForFourOfFive")),
            Map.entry("Staircase", Set.of("settleStep", "settlesAtShare")),
            Map.entry("StepTime", Set.of("expectedSec")),
            Map.entry("Slalom", Set.of("betterSec", "savesSec", "speedMs")),
            Map.entry("SlalomAsk", Set.of("firstSec")),
            Map.entry("PartnerRound", Set.of("sitsOut")),
            Map.entry("JackMatch", Set.of("next", "winner")),
            Map.entry("EndSheet", Set.of("bestA", "bestB")),
            Map.entry("MatchBall", Set.of("distanceCm", "xCm", "yCm")),
            Map.entry("JackMatchAsk", Set.of("targetScore", "maxEnds", "timeCapSec")),
            Map.entry("NumberCall", Set.of("next", "shareWithoutGuessing")),
            Map.entry("Rates", Set.of("lastHigherThanFirst")));

    @Bean
    OpenApiCustomizer everyFieldIsThere() {
        return api -> {
            api.info(new Info().title("Unruly Marble").version("1"));
            api.servers(List.of());
            api.getComponents().getSchemas().forEach((name, schema) -> shape(name, schema, api));
        };
    }

    private static void shape(String name, Schema<?> schema, OpenAPI api) {
        if (schema.getProperties() == null) return;
        Map<String, Schema<?>> shaped = new LinkedHashMap<>();
        schema.getProperties()
                .forEach((field, type) -> shaped.put(field, mayBeNull(name, field) ? orNull(type) : type));
        shaped.forEach(schema::addProperty);
        schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
    }

    /** The id of a pupil who is new is the one id that is not there yet. */
    private static boolean mayBeNull(String schema, String field) {
        return (schema + "." + field).equals("PupilDoc.id")
                || NULLABLE_IN.getOrDefault(schema, Set.of()).contains(field)
                || NULLABLE.contains(field)
                        && !BUT_NEVER_IN.getOrDefault(field, Set.of()).contains(schema);
    }

    private static Schema<?> orNull(Schema<?> type) {
        Schema<?> nothing = new Schema<>();
        nothing.setTypes(Set.of("null"));
        Schema<?> either = new Schema<>();
        either.setAnyOf(new ArrayList<>(List.of(type, nothing)));
        return either;
    }
}
