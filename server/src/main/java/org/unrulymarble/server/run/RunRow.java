package org.unrulymarble.server.run;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "run")
class RunRow {

    @Id
    private UUID id;

    private UUID lessonId;
    private UUID classId;
    private LocalDate onDay;
    private boolean finished;
    private String wallCode;
    private Long wallUntil;

    /** {@link RunSheets.Sheet} as JSON: never changed once the run has begun, but that a name may go. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    @Column(name = "sheet")
    private String sheet;

    protected RunRow() {}

    RunRow(UUID id, UUID lessonId, UUID classId, LocalDate onDay, String sheet) {
        this.id = id;
        this.lessonId = lessonId;
        this.classId = classId;
        this.onDay = onDay;
        this.sheet = sheet;
    }

    UUID id() {
        return id;
    }

    UUID lessonId() {
        return lessonId;
    }

    UUID classId() {
        return classId;
    }

    LocalDate onDay() {
        return onDay;
    }

    String wallCode() {
        return wallCode;
    }

    /** Until when the code opens the wall, in milliseconds; null where it never does. */
    Long wallUntil() {
        return wallUntil;
    }

    /** Null for both: no wall. */
    void wall(String code, Long untilMs) {
        wallCode = code;
        wallUntil = untilMs;
    }

    /** Only to take a name off it. */
    void sheet(String changed) {
        sheet = changed;
    }

    String sheet() {
        return sheet;
    }
}
