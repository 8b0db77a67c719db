package org.unrulymarble.server.device;

import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import java.net.InetSocketAddress;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.run.AtSpot;
import org.unrulymarble.server.platform.TooManyTries;
import org.unrulymarble.server.platform.TryLimit;
import org.unrulymarble.server.run.RunFeed;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The line to a device: JSON, one message a frame. A device has to say a code that is open before it is heard. */
@Component
class DeviceLine extends TextWebSocketHandler {

    /** A line and what is known of it once it is paired. */
    private record Paired(DeviceCodes.Known code, DevicesHere.Here here, Bucket signs) {}

    /** More than hands can do, and room for what waited while a line was down. */
    private static final int SIGNS_A_SEC = 20;

    private static final int SIGNS_AT_ONCE = 600;

    private final Map<String, Paired> paired = new ConcurrentHashMap<>();
    private final DeviceCodes codes;
    private final DevicesHere here;
    private final RunFeed runs;
    private final TryLimit limit;
    private final JsonMapper json;

    DeviceLine(DeviceCodes codes, DevicesHere here, RunFeed runs, TryLimit limit, JsonMapper json) {
        this.codes = codes;
        this.here = here;
        this.runs = runs;
        this.limit = limit;
        this.json = json;
    }

    @Override
    protected void handleTextMessage(WebSocketSession line, TextMessage message) throws Exception {
        DeviceSaid said;
        try {
            said = json.readValue(message.getPayload(), DeviceSaid.class);
        } catch (JacksonException e) {
            wrong(line, e.getCause() instanceof Refused refused ? refused : null);
            return;
        }
        Paired who = paired.get(line.getId());
        if (said instanceof DeviceSaid.Hello hello) hello(line, hello);
        else if (who == null) wrong(line, new Refused("code", Fault.Rule.REQUIRED));
        else if (said instanceof DeviceSaid.Sign && !who.signs().tryConsume(1))
            DevicesHere.close(line, CloseStatus.POLICY_VIOLATION);
        else hear(who, said);
    }

    private void hello(WebSocketSession line, DeviceSaid.Hello hello) throws Exception {
        InetSocketAddress from = line.getRemoteAddress();
        String guesser = (from == null ? "?" : from.getHostString()) + " device";
        Optional<DeviceCodes.Known> code;
        try {
            limit.count(guesser);
            code = codes.of(hello.code());
            if (code.isPresent()) limit.giveBack(guesser);
        } catch (TooManyTries e) {
            code = Optional.empty();
        }
        if (code.isEmpty()) {
            wrong(line, new Refused("code", Fault.Rule.UNKNOWN, hello.code()));
            DevicesHere.close(line, CloseStatus.POLICY_VIOLATION);
            return;
        }
        DevicesHere.Here device =
                here.paired(code.get().runId(), hello, codes.placeOf(code.get().runId(), hello.device()), line);
        if (device == null) {
            wrong(line, new Refused("device", Fault.Rule.AT_MOST_FIELD, DevicesHere.MOST));
            DevicesHere.close(line, CloseStatus.POLICY_VIOLATION);
            return;
        }
        paired.put(line.getId(), new Paired(code.get(), device, signs()));
        here.tell(device, new DeviceTold.Welcome(runs.nowMs(), device.spot()));
    }

    private void hear(Paired who, DeviceSaid said) {
        DevicesHere.Here device = who.here();
        if (said instanceof DeviceSaid.Alive alive) here.heard(device, alive.battery());
        if (!(said instanceof DeviceSaid.Sign sign)) return;
        here.heard(device, null);
        if (device.place() == null) {
            here.tell(device, new DeviceTold.NotCounted(sign.id(), AtSpot.Why.NOBODY_THERE));
            return;
        }
        Optional<AtSpot.Why> why = runs.hear(
                who.code().runId(),
                who.code().accountId(),
                new RunFeed.Heard(sign.id(), name(device), device.place(), sign.tap()));
        here.counted(device, why.isEmpty());
        here.tell(
                device,
                why.<DeviceTold>map(w -> new DeviceTold.NotCounted(sign.id(), w))
                        .orElseGet(() -> new DeviceTold.Counted(sign.id())));
    }

    private static Bucket signs() {
        return Bucket.builder()
                .addLimit(Bandwidth.builder()
                        .capacity(SIGNS_AT_ONCE)
                        .refillGreedy(SIGNS_A_SEC, Duration.ofSeconds(1))
                        .build())
                .build();
    }

    /** As the log and the pads name who counted: what it is, and where. */
    private static String name(DevicesHere.Here device) {
        return device.kind().name().toLowerCase(Locale.ROOT) + " at spot " + device.spot();
    }

    private void wrong(WebSocketSession line, Refused refused) throws Exception {
        Fault fault = refused == null || refused.faults().isEmpty()
                ? null
                : refused.faults().get(0);
        line.sendMessage(new TextMessage(json.writeValueAsString(new DeviceTold.Wrong(
                fault == null ? "message" : fault.field(),
                fault == null ? "JSON" : fault.rule().name()))));
    }

    @Override
    public void afterConnectionClosed(WebSocketSession line, CloseStatus status) {
        Paired who = paired.remove(line.getId());
        if (who != null) here.gone(who.here(), line);
    }
}
