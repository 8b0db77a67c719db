package org.unrulymarble.server.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.unrulymarble.core.record.Readiness;

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
                unconfirmedWeight);
    }
}
