package org.unrulymarble.server.begin;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.UUID;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.server.store.FirstStore;

/** Where the lesson is. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Where.KnownSpace.class, name = "KNOWN"),
    @JsonSubTypes.Type(value = Where.MeasuredSpace.class, name = "MEASURED")
})
public sealed interface Where {
    /** Which space that is, made where it is new. */
    UUID spaceId(FirstStore store);

    /** In a space that the school has. */
    record KnownSpace(UUID spaceId) implements Where {
        public KnownSpace {
            new Checks().required("spaceId", spaceId).done();
        }

        @Override
        public UUID spaceId(FirstStore store) {
            return spaceId;
        }
    }

    /** In one that is new here. */
    record MeasuredSpace(String name, Place place) implements Where {
        public MeasuredSpace {
            new Checks().text("name", name, 40).required("place", place).done();
        }

        @Override
        public UUID spaceId(FirstStore store) {
            return store.make(new FirstStore.NewSpace(name, place));
        }
    }
}
