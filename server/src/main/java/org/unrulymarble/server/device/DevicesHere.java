package org.unrulymarble.server.device;

import java.io.IOException;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;
import org.unrulymarble.core.run.AtSpot;
import tools.jackson.databind.json.JsonMapper;

/** The devices of each run: where they stand, how full they are, when they were heard. Forgotten with the server, but for where somebody put them. */
@Component
class DevicesHere {

    /** So many a run: a hall has not more spots. */
    static final int MOST = 60;

    private static final int SEND_MS = 2_000;
    private static final int SEND_BYTES = 64 * 1024;

    private final Map<UUID, Map<String, Here>> runs = new ConcurrentHashMap<>();
    private final JsonMapper json;
    private final Clock clock;

    DevicesHere(JsonMapper json, Clock clock) {
        this.json = json;
        this.clock = clock;
    }

    /**
     * A device on screen.
     *
     * @param block of the station where it stands, where several are used at once; null for what the clock is in
     * @param battery 0 to 1, or null
     * @param silentSec since it was heard last
     * @param counted signs that count, since it is here
     */
    record DeviceSeen(
            String device,
            DeviceKind kind,
            @Nullable Integer spot,
            @Nullable Integer block,
            @Nullable Double battery,
            long silentSec,
            boolean connected,
            int counted,
            int notCounted) {}

    /** One that was here since the server started. */
    static final class Here {
        private final DeviceSaid.Hello hello;
        private volatile WebSocketSession line;
        private volatile AtSpot.Place place;
        private volatile Double battery;
        private volatile long heardMs;
        private volatile int counted;
        private volatile int notCounted;

        private Here(DeviceSaid.Hello hello, AtSpot.Place put) {
            this.hello = hello;
            place = put != null || hello.spot() == null ? put : new AtSpot.Place(hello.spot(), null);
        }

        DeviceKind kind() {
            return hello.kind();
        }

        String device() {
            return hello.device();
        }

        /** Null for a board, and for what was put nowhere. */
        AtSpot.Place place() {
            return place;
        }

        Integer spot() {
            AtSpot.Place at = place;
            return at == null ? null : at.spot();
        }
    }

    /** Null where the run has as many as it may have. @param put where somebody put it before, or null */
    Here paired(UUID runId, DeviceSaid.Hello hello, AtSpot.Place put, WebSocketSession line) {
        Map<String, Here> all = runs.computeIfAbsent(runId, id -> new ConcurrentHashMap<>());
        if (!all.containsKey(hello.device()) && all.size() >= MOST) return null;
        Here here = all.computeIfAbsent(hello.device(), id -> new Here(hello, put));
        WebSocketSession before = here.line;
        here.line = new ConcurrentWebSocketSessionDecorator(line, SEND_MS, SEND_BYTES);
        heard(here, hello.battery());
        // A device that comes back by another line is the same device.
        if (before != null && !before.getId().equals(line.getId())) close(before, CloseStatus.NORMAL);
        return here;
    }

    void heard(Here here, Double battery) {
        here.heardMs = clock.millis();
        if (battery != null) here.battery = battery;
    }

    void counted(Here here, boolean kept) {
        if (kept) here.counted++;
        else here.notCounted++;
    }

    void gone(Here here, WebSocketSession line) {
        WebSocketSession now = here.line;
        if (now != null && now.getId().equals(line.getId())) here.line = null;
    }

    List<DeviceSeen> of(UUID runId) {
        return runs.getOrDefault(runId, Map.of()).values().stream()
                .map(h -> new DeviceSeen(
                        h.device(),
                        h.kind(),
                        h.spot(),
                        h.place == null ? null : h.place.block(),
                        h.battery,
                        Math.max(0, (clock.millis() - h.heardMs) / 1000),
                        h.line != null,
                        h.counted,
                        h.notCounted))
                .sorted(Comparator.comparing(DeviceSeen::spot, Comparator.nullsLast(Comparator.naturalOrder()))
                        .thenComparing(DeviceSeen::device))
                .toList();
    }

    /** @return whether there is such a device */
    boolean move(UUID runId, String device, AtSpot.Place to) {
        Here here = runs.getOrDefault(runId, Map.of()).get(device);
        if (here == null) return false;
        here.place = to;
        tell(here, new DeviceTold.Place(to.spot()));
        return true;
    }

    /** Runs that somebody listens to. */
    List<UUID> listening() {
        return runs.entrySet().stream()
                .filter(e -> e.getValue().values().stream().anyMatch(h -> h.line != null))
                .map(Map.Entry::getKey)
                .toList();
    }

    void tellAll(UUID runId, DeviceTold what) {
        runs.getOrDefault(runId, Map.of()).values().forEach(here -> tell(here, what));
    }

    void tell(Here here, DeviceTold what) {
        WebSocketSession line = here.line;
        if (line == null) return;
        try {
            line.sendMessage(new TextMessage(json.writeValueAsString(what)));
        } catch (IOException | IllegalStateException e) {
            // It has gone, or cannot keep up: it comes again and hears all that matters anew.
            close(line, CloseStatus.SESSION_NOT_RELIABLE);
        }
    }

    /** All lines of a run are closed: its code was withdrawn or it is over. */
    void closeAll(UUID runId) {
        Map<String, Here> all = runs.remove(runId);
        if (all != null)
            all.values().stream()
                    .map(h -> h.line)
                    .filter(line -> line != null)
                    .forEach(line -> close(line, CloseStatus.GOING_AWAY));
    }

    static void close(WebSocketSession line, CloseStatus status) {
        try {
            line.close(status);
        } catch (IOException | IllegalStateException e) {
            // It was gone already.
        }
    }
}
