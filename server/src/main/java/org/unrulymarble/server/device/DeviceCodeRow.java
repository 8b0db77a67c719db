package org.unrulymarble.server.device;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** The code by which devices find a run, and on whose account they count. */
@Entity
@Table(name = "device_code")
class DeviceCodeRow {

    @Id
    private UUID runId;

    private String code;
    private long untilMs;
    private UUID accountId;

    protected DeviceCodeRow() {}

    DeviceCodeRow(UUID runId, String code, long untilMs, UUID accountId) {
        this.runId = runId;
        this.code = code;
        this.untilMs = untilMs;
        this.accountId = accountId;
    }

    UUID runId() {
        return runId;
    }

    String code() {
        return code;
    }

    long untilMs() {
        return untilMs;
    }

    UUID accountId() {
        return accountId;
    }
}
