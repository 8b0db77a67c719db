package org.unrulymarble.server.run;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;

/** A run without its sheet, which is long and never changes: what every tap has to look at. */
@Entity
@Table(name = "run")
class RunHead {

    @Id
    private UUID id;

    private UUID lessonId;
    private UUID classId;
    private LocalDate onDay;
    private boolean finished;

    protected RunHead() {}

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

    boolean finished() {
        return finished;
    }

    void finished(boolean now) {
        finished = now;
    }
}
