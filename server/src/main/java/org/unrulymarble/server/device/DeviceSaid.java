package org.unrulymarble.server.device;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.UUID;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.measure.Tap;

/** What a device says; docs/devices.md is the protocol. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = DeviceSaid.Hello.class, name = "hello"),
    @JsonSubTypes.Type(value = DeviceSaid.Hit.class, name = "hit"),
    @JsonSubTypes.Type(value = DeviceSaid.Miss.class, name = "miss"),
    @JsonSubTypes.Type(value = DeviceSaid.Start.class, name = "start"),
    @JsonSubTypes.Type(value = DeviceSaid.Stop.class, name = "stop"),
    @JsonSubTypes.Type(value = DeviceSaid.Alive.class, name = "alive")
})
sealed interface DeviceSaid {

    int PROTOCOL = 1;

    /**
     * The first word, and again after a break.
     *
     * @param device lasting on the device
     * @param spot where it stands, from 1; null for a board
     * @param battery 0 to 1, or null where nobody knows
     */
    record Hello(Integer protocol, String code, String device, DeviceKind kind, Integer spot, Double battery)
            implements DeviceSaid {
        public Hello {
            Checks checks = new Checks()
                    .range("protocol", protocol, PROTOCOL, PROTOCOL)
                    .text("code", code, 12)
                    .text("device", device, 40)
                    .required("kind", kind);
            if (spot != null) checks.range("spot", spot, 1, 400);
            checkBattery(checks, battery);
            checks.done();
        }
    }

    /** Something that counts, once however often it is sent. */
    sealed interface Sign extends DeviceSaid {
        UUID id();

        Tap tap();
    }

    /** @param id a UUID of version 7: its first 48 bits are the moment, by the server's clock */
    record Hit(UUID id) implements Sign {
        public Hit {
            new Checks().required("id", id).done();
        }

        @Override
        public Tap tap() {
            return new Tap.Hit(null);
        }
    }

    record Miss(UUID id) implements Sign {
        public Miss {
            new Checks().required("id", id).done();
        }

        @Override
        public Tap tap() {
            return new Tap.Miss(null);
        }
    }

    /** Somebody set off. */
    record Start(UUID id) implements Sign {
        public Start {
            new Checks().required("id", id).done();
        }

        @Override
        public Tap tap() {
            return new Tap.Start(0L);
        }
    }

    /** Somebody is through. */
    record Stop(UUID id) implements Sign {
        public Stop {
            new Checks().required("id", id).done();
        }

        @Override
        public Tap tap() {
            return new Tap.Stop(0L);
        }
    }

    /** Every ten seconds or sooner. */
    record Alive(Double battery) implements DeviceSaid {
        public Alive {
            Checks checks = new Checks();
            checkBattery(checks, battery);
            checks.done();
        }
    }

    private static void checkBattery(Checks checks, Double battery) {
        if (battery != null) checks.range("battery", battery, 0, 1);
    }
}
