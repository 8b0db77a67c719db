package org.unrulymarble.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.unrulymarble.core.place.Place;

/** A room or yard of the school. */
@Entity
@Table(name = "space")
public class SpaceRow {

    @Id
    private UUID id;

    private String name;

    /** The core's Place as JSON: always read and written whole. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    @Column(name = "place")
    private String place;

    @Version
    private long version;

    protected SpaceRow() {}

    public SpaceRow(UUID id, String name, Place place) {
        this.id = id;
        change(name, place);
    }

    final void change(String newName, Place newPlace) {
        name = newName;
        place = StoredJson.write(newPlace);
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

    public Place place() {
        return StoredJson.read(place, Place.class);
    }
}
