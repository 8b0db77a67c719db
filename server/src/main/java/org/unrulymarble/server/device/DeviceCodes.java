package org.unrulymarble.server.device;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.run.AtSpot;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.run.RunFeed;

/** The codes by which devices are paired: one a run, another than the wall's, for three hours at most; and where those were put that came. */
@Service
@Transactional
class DeviceCodes {

    static final Duration OPEN_FOR = Duration.ofHours(3);

    /** Letters and digits that nobody takes for others. */
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 6;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final DeviceCodeRows rows;
    private final DevicePlaceRows places;
    private final RunFeed runs;
    private final Audit audit;
    private final Clock clock;

    DeviceCodes(DeviceCodeRows rows, DevicePlaceRows places, RunFeed runs, Audit audit, Clock clock) {
        this.rows = rows;
        this.places = places;
        this.runs = runs;
        this.audit = audit;
        this.clock = clock;
    }

    /** A code and until when it pairs. */
    record Known(UUID runId, String code, long untilMs, UUID accountId) {}

    /** The one that is open, or none. */
    @Transactional(readOnly = true)
    Optional<Known> open(UUID runId) {
        runs.mayFeed(runId);
        return rows.findById(runId).filter(this::isOpen).map(DeviceCodes::known);
    }

    /** A new one; the one before pairs nothing any more. */
    Known renew(UUID runId) {
        runs.mayFeed(runId);
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) code.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        UUID accountId = SignedIn.now().accountId();
        audit.note(accountId, Audit.Kind.DEVICES_OPENED, runId);
        return known(rows.saveAndFlush(
                new DeviceCodeRow(runId, code.toString(), clock.millis() + OPEN_FOR.toMillis(), accountId)));
    }

    void withdraw(UUID runId) {
        runs.mayFeed(runId);
        if (!rows.existsById(runId)) return;
        rows.deleteById(runId);
        places.deleteByRunId(runId);
        audit.note(SignedIn.now().accountId(), Audit.Kind.DEVICES_CLOSED, runId);
    }

    @Transactional(readOnly = true)
    Optional<Known> of(String code) {
        return rows.findByCode(code.toUpperCase(Locale.ROOT))
                .filter(this::isOpen)
                .map(DeviceCodes::known);
    }

    void put(UUID runId, String device, AtSpot.Place place) {
        runs.mayFeed(runId);
        places.save(new DevicePlaceRow(runId, device, place));
    }

    /** Where somebody put a device, or null. */
    @Transactional(readOnly = true)
    AtSpot.Place placeOf(UUID runId, String device) {
        return places.findById(new DevicePlaceRow.Key(runId, device))
                .map(DevicePlaceRow::place)
                .orElse(null);
    }

    private boolean isOpen(DeviceCodeRow row) {
        return clock.millis() < row.untilMs();
    }

    private static Known known(DeviceCodeRow row) {
        return new Known(row.runId(), row.code(), row.untilMs(), row.accountId());
    }
}
