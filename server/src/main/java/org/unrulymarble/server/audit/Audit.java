package org.unrulymarble.server.audit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.platform.ClientAddress;

/** What was done with accounts and with children's data. Entries are only added; those older than 400 days go. They name ids, never contents. */
@Service
public class Audit {

    public static final Duration KEPT = Duration.ofDays(400);
    private static final Duration SAME_LOOK = Duration.ofHours(1);
    private static final int LOOKS_REMEMBERED = 5_000;

    /** What can be told. */
    public enum Kind {
        SET_UP,
        SIGNED_IN,
        SIGN_IN_REFUSED,
        SIGNED_OUT,
        INVITED,
        JOINED,
        PASSWORD_CHANGED,
        PASSWORD_RESET,
        NAME_CHANGED,
        ROLE_CHANGED,
        ACCOUNT_CLOSED,
        ACCOUNT_OPENED,
        HELPERS_CHANGED,
        LESSON_HANDED_OVER,
        LESSON_TAKEN_BACK,
        PUPIL_LOOKED_AT,
        PUPIL_EXPORTED,
        CLASS_EXPORTED,
        ALL_EXPORTED,
        PUPIL_ERASED,
        PUPIL_MOVED,
        PUPIL_LEFT,
        PUPIL_BACK,
        CLASS_GIVEN,
        WALL_OPENED,
        WALL_CLOSED,
        DEVICES_OPENED,
        DEVICES_CLOSED,
        BACKUP_MADE,
        RESTORED
    }

    /**
     * @param number rises from one to the next
     * @param accountId who did it; null for somebody unknown
     * @param address from where, or null where the server itself did it
     * @param about the id of what it was done to, and a word where one id does not tell it; or null
     */
    public record AuditEntry(
            long number,
            long atMs,
            @Nullable UUID accountId,
            @Nullable String address,
            Kind kind,
            @Nullable String about) {}

    private final Cache<String, Long> looks =
            Caffeine.newBuilder().maximumSize(LOOKS_REMEMBERED).build();

    private final JdbcClient store;
    private final ClientAddress address;
    private final Clock clock;

    Audit(JdbcClient store, ClientAddress address, Clock clock) {
        this.store = store;
        this.address = address;
        this.clock = clock;
    }

    /** Within the transaction of what it tells of, so that neither is kept without the other. */
    @Transactional
    public void note(UUID accountId, Kind kind, Object about) {
        store.sql("insert into audit (at_ms, account_id, address, kind, about) values (?, ?, ?, ?, ?)")
                .params(clock.millis(), accountId, address.now(), kind.name(), about == null ? null : about.toString())
                .update();
    }

    /** A page asks many times for the same: one entry an hour tells it. */
    @Transactional
    public void look(UUID accountId, Kind kind, UUID about) {
        long now = clock.millis();
        String key = accountId + " " + kind + " " + about;
        Long before = looks.getIfPresent(key);
        if (before != null && now - before < SAME_LOOK.toMillis()) return;
        looks.put(key, now);
        note(accountId, kind, about);
    }

    /** Newest first; {@code before} is the number of the last one that was seen, or {@link Long#MAX_VALUE}. */
    @Transactional(readOnly = true)
    public List<AuditEntry> entries(long before, int most) {
        return store.sql("select * from audit where number < ? order by number desc limit ?")
                .params(before, most)
                .query((row, n) -> new AuditEntry(
                        row.getLong("number"),
                        row.getLong("at_ms"),
                        row.getObject("account_id", UUID.class),
                        row.getString("address"),
                        Kind.valueOf(row.getString("kind")),
                        row.getString("about")))
                .list();
    }

    /** Whether this account came in from there within so long. */
    @Transactional(readOnly = true)
    public boolean cameIn(UUID accountId, String from, Duration within) {
        return store.sql("select count(*) from audit where account_id = ? and kind = ? and at_ms >= ? and address = ?")
                        .params(accountId, Kind.SIGNED_IN.name(), clock.millis() - within.toMillis(), from)
                        .query(Long.class)
                        .single()
                > 0;
    }

    @Scheduled(fixedDelayString = "PT6H", initialDelayString = "PT1M")
    @Transactional
    void forgetOld() {
        store.sql("delete from audit where at_ms < ?")
                .param(clock.millis() - KEPT.toMillis())
                .update();
    }
}
