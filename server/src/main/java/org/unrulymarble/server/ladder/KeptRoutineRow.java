package org.unrulymarble.server.ladder;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A routine that the school keeps under its name, for any lesson. */
@Entity
@Table(name = "kept_routine")
class KeptRoutineRow {

    @Id
    private UUID id;

    private String name;

    /** A routine as JSON. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    private String body;

    @Version
    private long version;

    protected KeptRoutineRow() {}

    KeptRoutineRow(UUID id, String name, String body) {
        this.id = id;
        this.name = name;
        this.body = body;
    }

    void change(String changedName, String changedBody) {
        name = changedName;
        body = changedBody;
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    String body() {
        return body;
    }

    long version() {
        return version;
    }
}
