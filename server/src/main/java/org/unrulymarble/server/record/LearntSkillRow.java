package org.unrulymarble.server.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.springframework.data.domain.Persistable;

/** What was learnt from all records at a time; only ever added. */
@Entity
@Table(name = "learnt_skill")
class LearntSkillRow implements Persistable<Integer> {

    private static final int LETTERS = 1_000_000;

    @Id
    private Integer version;

    private Instant learntAt;

    @Column(length = LETTERS)
    private String told;

    protected LearntSkillRow() {}

    LearntSkillRow(int version, Instant learntAt, String told) {
        this.version = version;
        this.learntAt = learntAt;
        this.told = told;
    }

    Instant learntAt() {
        return learntAt;
    }

    String told() {
        return told;
    }

    @Override
    public Integer getId() {
        return version;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}
