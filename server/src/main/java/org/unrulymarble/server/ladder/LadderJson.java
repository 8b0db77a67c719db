package org.unrulymarble.server.ladder;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.ladder.EarlierFormat;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Ladders as JSON: as they were kept before measures and gates had types of their own, and as a screen sends one, which is read like a file. */
public final class LadderJson {

    /** The figures of measures that a file says under scoring. */
    private static final List<String> FILED = List.of(
            "rings", "n", "spots", "spotOrder", "spotBackM", "balls", "draw", "firstBall", "targetScore", "course");

    private LadderJson() {}

    /** Brings a kept ladder to today's shape; one that has it already stays as it is. */
    public static void renew(JsonNode ladder) {
        for (JsonNode rung : ladder.path("rungs")) {
            renewRung((ObjectNode) rung);
            renewSentences((ObjectNode) rung);
        }
    }

    /** The same for a rung, or whatever else has a measure with its scoring. */
    public static void renewRung(ObjectNode rung) {
        JsonNode scoring = rung.path("scoring");
        if (rung.path("measure").isString())
            rung.set("measure", measure(rung.get("measure").stringValue(), scoring, stairsOf(rung)));
        renewGate(rung);
        if (scoring.hasNonNull("calls")) {
            ObjectNode called = JsonNodeFactory.instance.objectNode();
            called.set("words", scoring.get("calls"));
            called.set("everySec", scoring.path("callEverySec"));
            rung.set("calls", called);
        }
        rung.remove("scoring");
    }

    /** Sentences that were kept before they named their figures read as they were written. */
    private static void renewSentences(ObjectNode rung) {
        if (rung.has("figures")) return;
        for (String field : EarlierFormat.SENTENCES)
            if (rung.path(field).isString())
                rung.put(field, EarlierFormat.plain(rung.get(field).stringValue()));
        rung.putObject("figures");
    }

    /** The gate of a rung, or a block's own. */
    public static void renewGate(ObjectNode owner) {
        if (!(owner.get("gate") instanceof ObjectNode gate) || gate.has("type")) return;
        gate.put("type", gate.hasNonNull("of") ? "SO_MANY_OF" : gate.hasNonNull("inSec") ? "SO_MANY_IN" : "REACH");
    }

    private static JsonNode stairsOf(ObjectNode rung) {
        JsonNode own = rung.path("stairs");
        return own.isObject() ? own : rung.path("doses").path("staircase");
    }

    private static ObjectNode measure(String kind, JsonNode scoring, JsonNode stairs) {
        ObjectNode measure = JsonNodeFactory.instance.objectNode();
        measure.put("type", scoring.path("noBalls").asBoolean(false) ? "NO_BALLS" : kind);
        for (String figure : FILED) if (scoring.hasNonNull(figure)) measure.set(figure, scoring.get(figure));
        if (kind.equals("FURTHEST") && stairs.isObject()) measure.set("stairs", stairs);
        return measure;
    }

    /** A ladder as a screen has it, with measure, gate and calls as files write them. */
    static Map<String, Object> asFile(Map<String, Object> ladder) {
        Map<String, Object> out = new HashMap<>(ladder);
        // Told by the core, not by a file.
        out.remove("meanwhile");
        if (ladder.get("rungs") instanceof List<?> rungs)
            out.put("rungs", rungs.stream().map(LadderJson::rungAsFile).toList());
        return out;
    }

    private static Object rungAsFile(Object raw) {
        if (!(raw instanceof Map<?, ?> rung)) return raw;
        Map<String, Object> out = new HashMap<>();
        rung.forEach((field, value) -> out.put(String.valueOf(field), value));
        out.remove("ways");
        Map<String, Object> scoring = new HashMap<>();
        if (out.get("measure") instanceof Map<?, ?> measure) {
            String type = String.valueOf(measure.get("type"));
            boolean noBalls = type.equals("NO_BALLS");
            out.put("measure", noBalls ? "HITS_OF_N" : type);
            if (noBalls) scoring.put("noBalls", true);
            if (measure.get("stairs") instanceof Map<?, ?> stairs) out.put("stepping", stepping(stairs, out));
            // How many tries there are is told by the rung's doses.
            if (!noBalls && !type.equals("HITS_OF_N"))
                measure.forEach((figure, value) -> {
                    if (FILED.contains(String.valueOf(figure))) scoring.put(String.valueOf(figure), value);
                });
        }
        if (out.get("gate") instanceof Map<?, ?> gate) {
            Map<String, Object> plain = new HashMap<>();
            gate.forEach((figure, value) -> plain.put(String.valueOf(figure), value));
            if ("IN_A_ROW".equals(plain.remove("type"))) plain.put("inARow", plain.remove("reach"));
            out.put("gate", plain);
        }
        if (out.remove("calls") instanceof Map<?, ?> called) {
            scoring.put("calls", called.get("words"));
            scoring.put("callEverySec", called.get("everySec"));
        }
        if (out.get("scoring") == null && !scoring.isEmpty()) out.put("scoring", scoring);
        return out;
    }

    /** A form changes how it is stepped back in the rung's dose; where it begins stays. */
    private static Map<String, Object> stepping(Map<?, ?> stairs, Map<String, Object> rung) {
        Map<?, ?> dose = rung.get("doses") instanceof Map<?, ?> doses && doses.get("staircase") instanceof Map<?, ?> own
                ? own
                : stairs;
        Map<String, Object> stepping = new HashMap<>();
        stepping.put("makes", dose.get("makesToStep"));
        stepping.put("onMiss", dose.get("onMiss"));
        stepping.put("stepM", dose.get("stepM"));
        if (stairs.get("startM") != null) stepping.put("startM", stairs.get("startM"));
        boolean sameStep = String.valueOf(dose.get("stepM")).equals(String.valueOf(stairs.get("stepM")));
        if (stairs.get("unit") != null && sameStep) stepping.put("unit", stairs.get("unit"));
        return stepping;
    }
}
