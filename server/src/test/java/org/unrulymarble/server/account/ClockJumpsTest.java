package org.unrulymarble.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.unrulymarble.server.Api;
import org.unrulymarble.server.ApiTest;

@ApiTest
class ClockJumpsTest {

    private static final long DAY = Duration.ofDays(1).toMillis();

    @Autowired
    private Api api;

    @Autowired
    private JdbcClient store;

    @Test
    void a_clock_that_jumps_a_day_moves_the_end_of_each_session_along_and_one_that_goes_on_does_not() {
        api.as("brambell");
        AtomicLong passed = new AtomicLong();
        AtomicLong wall = new AtomicLong(1_795_000_000_000L);
        ClockJumps jumps = new ClockJumps(store, at(wall), passed::get);
        long before = end();

        passed.addAndGet(DAY);
        wall.addAndGet(DAY);
        jumps.look();
        assertThat(end()).as("a day went by").isEqualTo(before);

        wall.addAndGet(DAY);
        jumps.look();
        jumps.look();
        assertThat(end()).isEqualTo(before + DAY);

        wall.addAndGet(-DAY);
        jumps.look();
        assertThat(end()).isEqualTo(before);
        assertThat(api.get("/api/lessons").status()).isEqualTo(200);
    }

    private long end() {
        return store.sql("select max(expiry_time) from spring_session where principal_name = 'brambell'")
                .query(Long.class)
                .single();
    }

    private static Clock at(AtomicLong wall) {
        return new Clock() {
            @Override
            public ZoneId getZone() {
                return ZoneId.systemDefault();
            }

            @Override
            public Clock withZone(ZoneId zone) {
                return this;
            }

            @Override
            public Instant instant() {
                return Instant.ofEpochMilli(wall.get());
            }
        };
    }
}
