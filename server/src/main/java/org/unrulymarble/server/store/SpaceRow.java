package org.unrulymarble.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;

/** A room or yard of the school. */
@Entity
@Table(name = "space")
public class SpaceRow {

    @Id
    private UUID id;

    private String name;
    private String surface;

    @Column(name = "length_m")
    private double lengthM;

    @Column(name = "width_m")
    private double widthM;

    @Column(name = "ceiling_m")
    private Double ceilingM;

    @Column(name = "wall_run_m")
    private Double wallRunM;

    @Column(name = "wall_depth_m")
    private Double wallDepthM;

    @Version
    private long version;

    protected SpaceRow() {}

    public SpaceRow(UUID id, String name, String surface, Space size) {
        this.id = id;
        change(name, surface, size);
    }

    final void change(String newName, String newSurface, Space size) {
        name = newName;
        surface = newSurface;
        lengthM = size.lengthM();
        widthM = size.widthM();
        ceilingM = size.ceilingM();
        wallRunM = size.wall() == null ? null : size.wall().runM();
        wallDepthM = size.wall() == null ? null : size.wall().depthM();
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    String surface() {
        return surface;
    }

    long version() {
        return version;
    }

    public Space size() {
        return new Space(lengthM, widthM, ceilingM, wallRunM == null ? null : new Wall(wallRunM, wallDepthM));
    }
}
