package org.unrulymarble.server.ladder;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A ladder that a teacher of this school wrote. */
@Entity
@Table(name = "own_ladder")
class OwnLadderRow {

    @Id
    private String id;

    /** A file of one ladder in JSON, so that it is read as any file is. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    private String body;

    private boolean retired;

    @Version
    private long version;

    protected OwnLadderRow() {}

    OwnLadderRow(String id, String body) {
        this.id = id;
        this.body = body;
    }

    void change(String changed) {
        body = changed;
    }

    void retired(boolean is) {
        retired = is;
    }

    String id() {
        return id;
    }

    String body() {
        return body;
    }

    boolean retired() {
        return retired;
    }

    long version() {
        return version;
    }
}
