package org.unrulymarble.server.lesson;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;

/** A lesson that somebody of another class gives on one day. */
@Entity
@Table(name = "hand_over")
class HandOverRow {

    @Id
    private UUID id;

    private UUID lessonId;
    private UUID accountId;
    private LocalDate onDay;

    protected HandOverRow() {}

    HandOverRow(UUID id, UUID lessonId, UUID accountId, LocalDate onDay) {
        this.id = id;
        this.lessonId = lessonId;
        this.accountId = accountId;
        this.onDay = onDay;
    }

    UUID id() {
        return id;
    }

    UUID lessonId() {
        return lessonId;
    }

    UUID accountId() {
        return accountId;
    }

    LocalDate onDay() {
        return onDay;
    }

    void day(LocalDate other) {
        onDay = other;
    }
}
