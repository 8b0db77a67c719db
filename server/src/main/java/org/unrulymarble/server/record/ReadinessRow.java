package org.unrulymarble.server.record;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.unrulymarble.core.record.Readiness;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** How a class decides who goes up; a class without a row goes by the usual. */
@Entity
@Table(name = "readiness")
class ReadinessRow {

    @Id
    private UUID classId;

    @Version
    private Long version;

    @Enumerated(EnumType.STRING)
    private Readiness.School school;

    @Column(name = "in_a_row")
    private int inARow;

    private int ofMet;
    private int ofRounds;

    @Enumerated(EnumType.STRING)
    private Readiness.Standard standard;

    private double holdShare;
    private double floorShare;
    private double sure;
    private double minTries;
    private double halfLifeDays;
    private double unconfirmedWeight;

    @Convert(converter = Shares.class)
    private Map<String, Double> ofRungs;

    /** Shares by rung, as JSON. */
    static class Shares implements AttributeConverter<Map<String, Double>, String> {

        private static final JsonMapper JSON = JsonMapper.builder().build();

        @Override
        public String convertToDatabaseColumn(Map<String, Double> shares) {
            return shares == null || shares.isEmpty() ? null : JSON.writeValueAsString(new TreeMap<>(shares));
        }

        @Override
        public Map<String, Double> convertToEntityAttribute(String column) {
            return column == null ? Map.of() : JSON.readValue(column, new TypeReference<Map<String, Double>>() {});
        }
    }

    protected ReadinessRow() {}

    ReadinessRow(UUID classId, Readiness how) {
        this.classId = classId;
        set(how);
    }

    void set(Readiness how) {
        school = how.school();
        inARow = how.inARow();
        ofMet = how.ofMet();
        ofRounds = how.ofRounds();
        standard = how.standard();
        holdShare = how.holdShare();
        floorShare = how.floorShare();
        sure = how.sure();
        minTries = how.minTries();
        halfLifeDays = how.halfLifeDays();
        unconfirmedWeight = how.unconfirmedWeight();
        ofRungs = how.ofRungs();
    }

    long version() {
        return version;
    }

    Readiness readiness() {
        return new Readiness(
                school,
                inARow,
                ofMet,
                ofRounds,
                standard,
                holdShare,
                floorShare,
                sure,
                minTries,
                halfLifeDays,
                unconfirmedWeight,
                ofRungs);
    }
}
