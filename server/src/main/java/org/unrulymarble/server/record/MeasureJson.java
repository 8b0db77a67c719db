package org.unrulymarble.server.record;

import jakarta.persistence.AttributeConverter;
import org.unrulymarble.core.measure.Measure;
import tools.jackson.databind.json.JsonMapper;

/** By what a result was scored, as JSON; a file may also have the measure's name alone, with its usual figures. */
class MeasureJson implements AttributeConverter<Measure, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String convertToDatabaseColumn(Measure measure) {
        return measure == null ? null : JSON.writerFor(Measure.class).writeValueAsString(measure);
    }

    @Override
    public Measure convertToEntityAttribute(String column) {
        return column == null ? null : JSON.readValue(column, Measure.class);
    }
}
