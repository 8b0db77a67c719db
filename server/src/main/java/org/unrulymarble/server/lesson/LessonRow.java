package org.unrulymarble.server.lesson;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "lesson")
class LessonRow {

    @Id
    private UUID id;

    private UUID classId;
    private UUID spaceId;
    private String name;
    private LocalDate onDay;

    /** The core's Lesson as JSON: always read and written whole. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    @Column(name = "plan")
    private String plan;

    /** What lists say of it, as JSON: written with the plan, never alone. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    private String head;

    @Version
    private long version;

    /** When it was deleted, or null; for some weeks it can come back. */
    private Instant goneAt;

    protected LessonRow() {}

    LessonRow(UUID id, UUID classId) {
        this.id = id;
        this.classId = classId;
    }

    void change(String newName, LocalDate newDay, UUID newSpaceId, String newPlan, String newHead) {
        name = newName;
        onDay = newDay;
        spaceId = newSpaceId;
        plan = newPlan;
        head = newHead;
    }

    UUID id() {
        return id;
    }

    UUID classId() {
        return classId;
    }

    UUID spaceId() {
        return spaceId;
    }

    String name() {
        return name;
    }

    LocalDate onDay() {
        return onDay;
    }

    String plan() {
        return plan;
    }

    String head() {
        return head;
    }

    void gone(Instant at) {
        goneAt = at;
    }

    boolean isGone() {
        return goneAt != null;
    }

    void day(LocalDate other) {
        onDay = other;
    }

    long version() {
        return version;
    }
}
