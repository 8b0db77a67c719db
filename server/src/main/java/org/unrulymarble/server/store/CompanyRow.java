package org.unrulymarble.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** Two pupils who are better apart, or belong together. */
@Entity
@Table(name = "company")
class CompanyRow implements Persistable<UUID> {

    @Id
    private UUID id;

    private UUID classId;
    private UUID onePupilId;
    private UUID otherPupilId;
    private boolean apart;

    protected CompanyRow() {}

    CompanyRow(UUID classId, List<UUID> pair, boolean apart) {
        id = UUID.randomUUID();
        this.classId = classId;
        onePupilId = pair.get(0);
        otherPupilId = pair.get(1);
        this.apart = apart;
    }

    boolean isApart() {
        return apart;
    }

    List<UUID> pair() {
        return List.of(onePupilId, otherPupilId);
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}
