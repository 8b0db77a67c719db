package org.unrulymarble.server.store;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Set;
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

    @ElementCollection
    @CollectionTable(name = "pupil_former_class", joinColumns = @JoinColumn(name = "pupil_id"))
    @Column(name = "class_id")
    private Set<UUID> formerClassIds = new HashSet<>();

    /** Since when the pupil is in the class no more, or null; the record stays. */
    private LocalDate leftOn;

    protected Pupil() {}

    public Pupil(UUID id, PupilDetails details) {
        this.id = id;
        this.details = details;
    }

    void join(SchoolClass joined, int atPlace) {
        schoolClass = joined;
        place = atPlace;
    }

    void leave(LocalDate on) {
        leftOn = on;
    }

    LocalDate leftOn() {
        return leftOn;
    }

    void comesFrom(UUID classId) {
        formerClassIds.add(classId);
    }

    /** The class and those before it: each may name the pupil. */
    Set<UUID> classIds() {
        Set<UUID> all = new HashSet<>(formerClassIds);
        all.add(schoolClass.id());
        return all;
    }

    boolean isHere() {
        return leftOn == null;
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
