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
            Map.entry("version", Set.of("ClassView", "SpaceView", "LessonView")),
            Map.entry("workSec", Set.of("BlockPlan", "ScriptBlock", "ByClock")),
            Map.entry("waves", Set.of("BlockPlan")),
            Map.entry("tries", Set.of("Challenge")),
            Map.entry("reps", Set.of("ByCount")),
            Map.entry("segment", Set.of("RoundResult", "RunClock")),
            Map.entry("offsetMs", Set.of("RunClock")),
            Map.entry("take", Set.of("RoundResult")),
            Map.entry("pupilId", Set.of("RoundResult", "Attempt", "Challenge", "PupilRecord", "Row", "Member")),
            Map.entry("score", Set.of("RoundResult", "Attempt")),
            Map.entry("space", Set.of("LessonView")));

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
