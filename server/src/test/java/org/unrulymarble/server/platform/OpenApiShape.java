package org.unrulymarble.server.platform;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.run.What;
import org.unrulymarble.server.begin.Where;

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
            Map.entry("firstDay", Set.of("HomeWeek", "WeekWanted")),
            Map.entry("workSec", Set.of("BlockPlan", "ScriptBlock", "ByClock", "Circuit")),
            Map.entry("waves", Set.of("BlockPlan")),
            Map.entry("shoeCm", Set.of("Usual")),
            Map.entry("tries", Set.of("Challenge", "Streak", "GateFor", "SkillView")),
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
                            "OnSide",
                            "SharePoint",
                            "Tries",
                            "Count")),
            Map.entry("misses", Set.of("Tries", "SideAdvice", "Piece", "TriedShare", "OnSide", "SharePoint", "Count")),
            Map.entry("reps", Set.of("ByCount")),
            Map.entry("segment", Set.of("RoundResult", "RunClock", "Dispute", "Remark", "RoundAgainst")),
            Map.entry("offsetMs", Set.of("RunClock")),
            Map.entry("take", Set.of("RoundResult", "Dispute")),
            Map.entry(
                    "pupilId",
                    Set.of(
                            "RoundResult",
                            "HomeCardLine",
                            "CameBack",
                            "HomeShare",
                            "Watch",
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
            Map.entry("meanwhile", Set.of("Ladder")),
            Map.entry("of", Set.of("Rule")),
            Map.entry("space", Set.of("LessonView")));

    /** Fields of the reckonings that are null where a question has no such answer. */
    private static final Map<String, Set<String>> NULLABLE_IN = Map.ofEntries(
            Map.entry("HomeWeek", Set.of("making")),
            Map.entry("HomeNumber", Set.of("said")),
            Map.entry("CameBack", Set.of("felt", "home")),
            Map.entry("HomeShare", Set.of("last")),
            Map.entry("NotTaken", Set.of("line", "pupil")),
            Map.entry("Slip", Set.of("felt")),
            Map.entry("WeekWanted", Set.of("quiet", "helper", "lessonId", "pupilIds")),
            Map.entry("RunEvent", Set.of("device")),
            Map.entry("NetOnWallAsk", Set.of("air")),
            Map.entry("BallKind", Set.of("massKg")),
            Map.entry("Proposed", Set.of("soon")),
            Map.entry("Propose", Set.of("blocks", "totalSec", "value", "bound")),
            Map.entry("NextLesson", Set.of("lesson", "gapShare", "minutes", "oneAfterTheOther")),
            Map.entry("Reason", Set.of("daysSince", "dueInDays")),
            Map.entry("PassedOver", Set.of("finding", "dueInDays")),
            Map.entry("Wishes", Set.of("wish", "keep", "without")),
            Map.entry("FlightAir", Set.of("heightAtXM", "speedAtXMs")),
            Map.entry("FlightAirAsk", Set.of("toXM")),
            Map.entry("WallMarkAir", Set.of("lowMarkM", "highMarkM", "minSpeedMs", "maxSpeedMs")),
            Map.entry("Due", Set.of("halfLifeDays", "dueInDays")),
            Map.entry("PractisedOn", Set.of("share")),
            Map.entry("Groups", Set.of("cost", "bound", "groups")),
            Map.entry("WhatTold", Set.of("timeMs")),
            Map.entry("WhatFaultSeen", Set.of("pupilId")),
            Map.entry("RunDevices", Set.of("code", "untilMs")),
            Map.entry("DeviceSeen", Set.of("spot", "battery")),
            Map.entry("TapHit", Set.of("number")),
            Map.entry("TapMiss", Set.of("noBall")),
            Map.entry("TapEndWon", Set.of("team")),
            Map.entry("TapBall", Set.of("fault")),
            Map.entry("MeasureMatch", Set.of("targetScore", "maxEnds", "timeCapSec")),
            Map.entry("MatchEnd", Set.of("told")),
            Map.entry("Told", Set.of("side")),
            Map.entry("MeasureHitsOfN", Set.of("n")),
            Map.entry("MeasureNoBalls", Set.of("n")),
            Map.entry("DetailGuessed", Set.of("shareWithoutGuessing")),
            Map.entry("RoundTime", Set.of("askedSec")),
            Map.entry("Dispute", Set.of("stands")),
            Map.entry("RoundResult", Set.of("detail", "time", "inARow")),
            Map.entry("ScriptRung", Set.of("stairs", "words", "scoredBy")),
            Map.entry("Otherwise", Set.of("standM", "target")),
            Map.entry("Stairs", Set.of("startM")),
            Map.entry("Attempt", Set.of("detail", "distanceM", "target", "with", "time", "inARow", "scoredBy")),
            Map.entry("PupilRemark", Set.of("ladderId", "rungId")),
            Map.entry("Remark", Set.of("rungId")),
            Map.entry("SideRecord", Set.of("distanceM", "target", "askedSec", "gain", "scoredBy")),
            Map.entry("Mark", Set.of("timeMs")),
            Map.entry("Advice", Set.of("stands", "nextRungId", "rungBelowId", "lastChose")),
            Map.entry("OnLadder", Set.of("firstOn", "lastOn")),
            Map.entry("OnSide", Set.of("nextShare")),
            Map.entry("Watch", Set.of("lastOn")),
            Map.entry("SideAdvice", Set.of("nextShare", "practicesLeast", "practicesMost")),
            Map.entry("SkillView", Set.of("learntMs")),
            Map.entry("LadderRecord", Set.of("firstOn", "lastOn", "behind")),
            Map.entry("Done", Set.of("gain")),
            Map.entry("Ranked", Set.of("gain")),
            Map.entry("Found", Set.of("ladderId", "rungId", "side", "chance", "on")),
            Map.entry("Wanted", Set.of("struck")),
            Map.entry(
                    "TypedIn", Set.of("modifiers", "timeMs", "distanceM", "target", "with", "where", "seen", "trial")),
            Map.entry("RoundAgainst", Set.of("best", "last")),
            Map.entry("Segment", Set.of("beside")),
            Map.entry("OfBlock", Set.of("meetGate", "expected", "oneRoundMore")),
            Map.entry("StationPlan", Set.of("way", "reason")),
            Map.entry("EditSetCircuit", Set.of("rounds", "workSec", "restSec", "changeSec")),
            Map.entry("Lesson", Set.of("startMin", "afterNote")),
            Map.entry("LessonLine", Set.of("startMin", "taughtOn", "afterNote")),
            Map.entry("Copies", Set.of("classId", "times", "everyDays")),
            Map.entry("Shift", Set.of("andLater")),
            Map.entry(
                    "Block",
                    Set.of(
                            "ladderId",
                            "rungId",
                            "part",
                            "reverses",
                            "attitude",
                            "gate",
                            "measure",
                            "optionalLast",
                            "routine",
                            "standM",
                            "target",
                            "mark",
                            "spot",
                            "mostSpots",
                            "note")),
            Map.entry("Move", Set.of("count")),
            Map.entry("Called", Set.of("atSec")),
            Map.entry("EditAdd", Set.of("at")),
            Map.entry("EditAddTime", Set.of("at", "seconds")),
            Map.entry("EditSetSeconds", Set.of("setupSec", "explainSec", "restSec")),
            Map.entry("EditGoBackwards", Set.of("of")),
            Map.entry("EditSetGate", Set.of("gate")),
            Map.entry("EditSetMeasure", Set.of("measure")),
            Map.entry("EditSetStand", Set.of("standM")),
            Map.entry("EditSetTarget", Set.of("target")),
            Map.entry("EditSetBand", Set.of("band")),
            Map.entry("EditSetSpot", Set.of("spot")),
            Map.entry("EditSetMostSpots", Set.of("spots")),
            Map.entry("EditPlayWith", Set.of("kinds")),
            Map.entry("EditSetMeanwhile", Set.of("task")),
            Map.entry("Variant", Set.of("instead")),
            Map.entry("BlockPlan", Set.of("words", "gate", "family", "spots", "measure", "standM")),
            Map.entry("Pacing", Set.of("halfSec", "fourOfFiveSec", "reachGate", "stepLow", "stepLikely", "stepHigh")),
            Map.entry("Finding", Set.of("blockId", "threshold", "mend", "silenced")),
            Map.entry("GatherItem", Set.of("have")),
            Map.entry("Ladder", Set.of("swingM", "net", "seesLittle")),
            Map.entry("Rung", Set.of("claps", "standM", "delivery", "calls")),
            Map.entry("KitKind", Set.of("sizeCm", "openingCm", "massG", "never")),
            Map.entry("ItemView", Set.of("count")),
            Map.entry("Counted", Set.of("count")),
            Map.entry("ListColumn", Set.of("title")),
            Map.entry("ListText", Set.of("meanings")),
            Map.entry("ItemDoc", Set.of("count")),
            Map.entry("PupilDetails", Set.of("homeSpace", "homeQuiet", "otherHome")),
            Map.entry("OtherHome", Set.of("space", "quiet")),
            Map.entry("HomeTold", Set.of("space", "quiet")),
            Map.entry("PersonDoc", Set.of("password")),
            Map.entry("ClassDoc", Set.of("helperIds")),
            Map.entry(
                    "ScriptBlock",
                    Set.of("optionalLast", "ladderId", "rungId", "note", "calls", "attitude", "beatSec")),
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

    /** Each is one of several records, told apart by {@code type}. */
    private static final List<Class<?>> VARIANTS = List.of(
            What.class, Tap.class, Measure.class, Gate.class, Detail.class, BlockDose.class, Edit.class, Where.class);

    private static final Set<String> VARIANT_NAMES = VARIANTS.stream()
            .flatMap(of -> Arrays.stream(of.getAnnotation(JsonSubTypes.class).value())
                    .map(sub -> of.getSimpleName() + sub.value().getSimpleName()))
            .collect(Collectors.toSet());

    /** Variants are called after what they are variants of: there are several rings, reaches and landings. */
    @Bean
    ModelResolver modelResolver(ObjectMapperProvider mapper) {
        return new ModelResolver(mapper.jsonMapper(), new TypeNameResolver() {
            @Override
            protected String getNameOfClass(Class<?> type) {
                for (Class<?> variant : VARIANTS)
                    if (variant != type && variant.isAssignableFrom(type))
                        return variant.getSimpleName() + type.getSimpleName();
                return super.getNameOfClass(type);
            }
        });
    }

    private static Schema<?> eventsList() {
        ArraySchema list = new ArraySchema();
        list.setItems(ref("RunEvent"));
        return list;
    }

    private static Schema<?> ref(String name) {
        return new Schema<>().$ref("#/components/schemas/" + name);
    }

    private static void variants(Class<?> of, Map<String, Schema<?>> known, OpenAPI api) {
        Schema<?> any = new Schema<>();
        for (JsonSubTypes.Type sub : of.getAnnotation(JsonSubTypes.class).value()) {
            String name = of.getSimpleName() + sub.value().getSimpleName();
            Schema<String> type = new Schema<>();
            type.setTypes(Set.of("string"));
            type.setEnum(List.of(sub.name()));
            Schema<?> one = new Schema<>();
            one.setTypes(Set.of("object"));
            one.addProperty("type", type);
            parts(known.get(name)).forEach(part -> {
                if (part.getProperties() != null) part.getProperties().forEach(one::addProperty);
            });
            api.getComponents().addSchemas(name, one);
            any.addOneOfItem(ref(name));
        }
        api.getComponents().addSchemas(of.getSimpleName(), any);
    }

    /** A variant's own fields may stand beside a reference to what it is a variant of. */
    private static List<Schema<?>> parts(Schema<?> variant) {
        List<Schema<?>> parts = new ArrayList<>();
        if (variant == null) return parts;
        parts.add(variant);
        if (variant.getAllOf() != null) for (Schema<?> part : variant.getAllOf()) parts.add(part);
        return parts;
    }

    @Bean
    OpenApiCustomizer everyFieldIsThere() {
        return api -> {
            api.info(new Info().title("Unruly Marble").version("1"));
            api.servers(List.of());
            Map<String, Schema<?>> known = new LinkedHashMap<>();
            api.getComponents().getSchemas().forEach(known::put);
            // What comes in may have an older shape; the published one is today's.
            known.get("Events").addProperty("events", eventsList());
            api.getComponents().getSchemas().remove("SentEvent");
            VARIANTS.forEach(v -> variants(v, known, api));
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
        // A variant has only what it needs.
        if (VARIANT_NAMES.contains(schema))
            return NULLABLE_IN.getOrDefault(schema, Set.of()).contains(field);
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
