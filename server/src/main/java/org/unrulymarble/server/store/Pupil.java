package org.unrulymarble.server.store;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.util.UUID;

@Entity
public class Pupil {

    @Id
    private UUID id;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "class_id")
    private SchoolClass schoolClass;

    private int place;

    @Embedded
    private PupilDetails details;

    protected Pupil() {}

    public Pupil(UUID id, PupilDetails details) {
        this.id = id;
        this.details = details;
    }

    void join(SchoolClass joined, int atPlace) {
        schoolClass = joined;
        place = atPlace;
    }

    void change(PupilDetails changed) {
        details = changed;
    }

    public UUID id() {
        return id;
    }

    public SchoolClass schoolClass() {
        return schoolClass;
    }

    int place() {
        return place;
    }

    public PupilDetails details() {
        return details;
    }

    public String name() {
        return details.name();
    }
}
