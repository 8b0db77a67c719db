package org.unrulymarble.server.device;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.unrulymarble.core.run.AtSpot;

/** Where a device of a run was put by hand: it stands there again when it comes back, also after the server was started anew. */
@Entity
@Table(name = "device_place")
@IdClass(DevicePlaceRow.Key.class)
class DevicePlaceRow {

    record Key(UUID runId, String device) implements Serializable {}

    @Id
    private UUID runId;

    @Id
    private String device;

    private int spot;
    private Integer stationBlock;

    protected DevicePlaceRow() {}

    DevicePlaceRow(UUID runId, String device, AtSpot.Place place) {
        this.runId = runId;
        this.device = device;
        spot = place.spot();
        stationBlock = place.block();
    }

    AtSpot.Place place() {
        return new AtSpot.Place(spot, stationBlock);
    }
}
