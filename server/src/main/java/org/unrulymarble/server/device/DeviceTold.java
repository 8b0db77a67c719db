package org.unrulymarble.server.device;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.UUID;
import org.unrulymarble.core.run.AtSpot;
import org.unrulymarble.core.run.BySpot;
import org.unrulymarble.server.run.RunFeed;

/** What a device is told; docs/devices.md is the protocol. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = DeviceTold.Welcome.class, name = "welcome"),
    @JsonSubTypes.Type(value = DeviceTold.Place.class, name = "place"),
    @JsonSubTypes.Type(value = DeviceTold.Counted.class, name = "counted"),
    @JsonSubTypes.Type(value = DeviceTold.NotCounted.class, name = "not-counted"),
    @JsonSubTypes.Type(value = DeviceTold.Now.class, name = "now"),
    @JsonSubTypes.Type(value = DeviceTold.Wrong.class, name = "wrong")
})
sealed interface DeviceTold {

    /** It is paired. @param nowMs the server's clock, by which the device's ids go */
    record Welcome(long nowMs, Integer spot) implements DeviceTold {}

    /** Somebody moved it to another spot. */
    record Place(int spot) implements DeviceTold {}

    /** On the disk: it need not be sent again. */
    record Counted(UUID id) implements DeviceTold {}

    /** Not kept, and not to be sent again. */
    record NotCounted(UUID id, AtSpot.Why why) implements DeviceTold {}

    /** Where the run stands, every second: for lights and boards. */
    record Now(BySpot.Phase phase, String task, long leftSec, List<BySpot.Count> counts) implements DeviceTold {
        static Now of(RunFeed.Now now) {
            BySpot at = now.bySpot();
            return new Now(at.phase(), now.task(), at.leftSec(), at.counts());
        }
    }

    /** What was said could not be understood; after a wrong code the line is closed. */
    record Wrong(String field, String what) implements DeviceTold {}
}
