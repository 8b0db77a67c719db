package org.unrulymarble.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.unrulymarble.core.kit.Kit;

/** A school's own rule of what may stand in for what. */
@Entity
@Table(name = "stand_in")
class StandInRow {

    @Id
    private UUID id;

    private String ofKind;
    private String byKind;
    private String changes;

    @Version
    private long version;

    protected StandInRow() {}

    StandInRow(UUID id, Kit.Rule rule) {
        this.id = id;
        change(rule);
    }

    final void change(Kit.Rule rule) {
        ofKind = rule.of();
        byKind = rule.by();
        changes = rule.changes();
    }

    UUID id() {
        return id;
    }

    long version() {
        return version;
    }

    Kit.Rule rule() {
        return new Kit.Rule(ofKind, byKind, changes);
    }
}
