package org.unrulymarble.server.device;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.run.AtSpot;

/** Devices of a run, for whoever runs it. */
@RestController
@RequestMapping("/api/runs/{id}/devices")
class DeviceController {

    private final DeviceService devices;

    DeviceController(DeviceService devices) {
        this.devices = devices;
    }

    /** Where one stands. @param block of its station, where several are used at once; null for what the clock is in */
    record DevicePlace(
            String device, Integer spot, @Nullable Integer block) {
        DevicePlace {
            new Checks().text("device", device, 40).done();
            new AtSpot.Place(spot, block);
        }
    }

    @GetMapping
    DeviceService.RunDevices see(@PathVariable UUID id) {
        return devices.see(id);
    }

    /** A code, if there is none yet. */
    @PostMapping
    DeviceService.RunDevices open(@PathVariable UUID id) {
        return devices.open(id);
    }

    /** Moves one to another spot. */
    @PutMapping
    DeviceService.RunDevices move(@PathVariable UUID id, @RequestBody DevicePlace place) {
        return devices.move(id, place.device(), new AtSpot.Place(place.spot(), place.block()));
    }

    /** No device is heard any more. */
    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void close(@PathVariable UUID id) {
        devices.close(id);
    }
}
