package org.unrulymarble.server.record;

import jakarta.persistence.AttributeConverter;
import java.util.List;
import org.unrulymarble.core.measure.Detail;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What a pad told beside the score, as JSON. */
class DetailJson implements AttributeConverter<Detail, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What each kind of detail had alone when all of them were one row of fields. */
    private static final List<List<String>> FLAT = List.of(
            List.of("timeMs", "TIMED"),
            List.of("landings", "LANDINGS"),
            List.of("madeAtSpots", "SPOTS"),
            List.of("stepM", "STEPS"),
            List.of("noBalls", "BOWLED"));

    @Override
    public String convertToDatabaseColumn(Detail detail) {
        return detail == null ? null : JSON.writerFor(Detail.class).writeValueAsString(detail);
    }

    @Override
    public Detail convertToEntityAttribute(String column) {
        if (column == null) return null;
        ObjectNode tree = (ObjectNode) JSON.readTree(column);
        if (!tree.has("type")) tree.put("type", typeOf(tree));
        return JSON.treeToValue(tree, Detail.class);
    }

    private static String typeOf(JsonNode flat) {
        for (List<String> kind : FLAT) if (flat.hasNonNull(kind.get(0))) return kind.get(1);
        return "GUESSED";
    }
}
