package org.unrulymarble.server.device;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.run.AtSpot;
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
     * @param stations those that are used at the same time, in their order; none in a lesson without circuits
     */
    record RunDevices(
            @Nullable String code,
            @Nullable Long untilMs,
            int spots,
            List<RunFeed.StationSpots> stations,
            List<DevicesHere.DeviceSeen> devices) {}

    RunDevices see(UUID runId) {
        return devices(runId, codes.open(runId).orElse(null));
    }

    RunDevices open(UUID runId) {
        return devices(runId, codes.open(runId).orElseGet(() -> codes.renew(runId)));
    }

    RunDevices move(UUID runId, String device, AtSpot.Place to) {
        DeviceCodes.Known code = codes.open(runId).orElse(null);
        if (to.block() != null)
            new Checks()
                    .that(
                            runs.stations(runId).stream()
                                    .anyMatch(s -> s.block() == to.block() && to.spot() <= s.spots()),
                            "block",
                            Fault.Rule.UNKNOWN,
                            String.valueOf(to.block()))
                    .done();
        if (!here.move(runId, device, to)) throw new NotFound();
        codes.put(runId, device, to);
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
                runs.stations(runId),
                here.of(runId));
    }
}
