package org.unrulymarble.server.store;

import jakarta.persistence.CascadeType;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Version;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;

@Entity
public class SchoolClass {

    @Id
    private UUID id;

    private String name;
    private UUID teacherId;

    @Version
    private long version;

    @OneToMany(mappedBy = "schoolClass", cascade = CascadeType.ALL, orphanRemoval = true)
    @OrderBy("place")
    private List<Pupil> pupils = new ArrayList<>();

    @ElementCollection
    @CollectionTable(name = "class_helper", joinColumns = @JoinColumn(name = "class_id"))
    @Column(name = "account_id")
    private Set<UUID> helperIds = new HashSet<>();

    protected SchoolClass() {}

    public SchoolClass(UUID id, String name, UUID teacherId) {
        this.id = id;
        this.name = name;
        this.teacherId = teacherId;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    long version() {
        return version;
    }

    void rename(String newName) {
        name = newName;
    }

    /** In the order in which they take the spots. */
    public List<Pupil> pupils() {
        return pupils.stream().filter(Pupil::isHere).toList();
    }

    /** Those in it and those who left it: whoever is named in what was done. */
    public List<Pupil> everybody() {
        return List.copyOf(pupils);
    }

    /** Those who left it and whose record is kept. */
    List<Pupil> left() {
        return pupils.stream().filter(p -> !p.isHere()).toList();
    }

    /** Where the next one who comes takes the spots. */
    int nextPlace() {
        return pupils.isEmpty() ? 0 : pupils.get(pupils.size() - 1).place() + 1;
    }

    public Pupil add(Pupil pupil) {
        pupil.join(this, nextPlace());
        pupils.add(pupil);
        return pupil;
    }

    void remove(Pupil pupil) {
        pupils.remove(pupil);
    }

    void helpers(Collection<UUID> accountIds) {
        helperIds.clear();
        helperIds.addAll(accountIds);
    }

    List<UUID> helperIds() {
        return helperIds.stream().sorted().toList();
    }

    public void letHelp(UUID accountId) {
        helperIds.add(accountId);
    }

    /** From now on it is somebody else's. */
    void taughtFromNowBy(UUID accountId) {
        teacherId = accountId;
        helperIds.remove(accountId);
    }

    UUID teacherId() {
        return teacherId;
    }

    boolean taughtBy(UUID accountId) {
        return teacherId.equals(accountId);
    }

    boolean helpedBy(UUID accountId) {
        return helperIds.contains(accountId);
    }
}
