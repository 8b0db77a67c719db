package org.unrulymarble.server.device;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.run.RunFeed;

/** The devices of a run as whoever runs it sees and places them. */
@Service
class DeviceService {

    private final DeviceCodes codes;
    private final DevicesHere here;
    private final RunFeed runs;

    DeviceService(DeviceCodes codes, DevicesHere here, RunFeed runs) {
        this.codes = codes;
        this.here = here;
        this.runs = runs;
    }

    /**
     * @param code null where none is open
     * @param spots the most spots that any task of this run has
     */
    record RunDevices(@Nullable String code, @Nullable Long untilMs, int spots, List<DevicesHere.DeviceSeen> devices) {}

    RunDevices see(UUID runId) {
        return devices(runId, codes.open(runId).orElse(null));
    }

    RunDevices open(UUID runId) {
        return devices(runId, codes.open(runId).orElseGet(() -> codes.renew(runId)));
    }

    RunDevices move(UUID runId, String device, int spot) {
        DeviceCodes.Known code = codes.open(runId).orElse(null);
        if (!here.move(runId, device, spot)) throw new NotFound();
        return devices(runId, code);
    }

    void close(UUID runId) {
        codes.withdraw(runId);
        here.closeAll(runId);
    }

    private RunDevices devices(UUID runId, DeviceCodes.Known code) {
        return new RunDevices(
                code == null ? null : code.code(),
                code == null ? null : (Long) code.untilMs(),
                runs.spots(runId),
                here.of(runId));
    }
}
