package org.unrulymarble.server.record;

import jakarta.persistence.AttributeConverter;
import org.unrulymarble.core.score.RoundDetail;
import tools.jackson.databind.json.JsonMapper;

/** What a pad told beside the score, as JSON. */
class DetailJson implements AttributeConverter<RoundDetail, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String convertToDatabaseColumn(RoundDetail detail) {
        return detail == null ? null : JSON.writeValueAsString(detail);
    }

    @Override
    public RoundDetail convertToEntityAttribute(String column) {
        return column == null ? null : JSON.readValue(column, RoundDetail.class);
    }
}
