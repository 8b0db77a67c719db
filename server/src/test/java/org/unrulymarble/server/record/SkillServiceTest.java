package org.unrulymarble.server.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class SkillServiceTest {

    private static final Instant NOON = Instant.parse("2026-11-29T12:00:00Z");

    private static boolean due(String last, Instant now) {
        return SkillService.due(last == null ? null : Instant.parse(last), Clock.fixed(now, ZoneOffset.UTC));
    }

    @Test
    void a_machine_that_is_off_by_night_learns_by_day_but_once_a_day_only() {
        assertThat(due(null, NOON)).isTrue();
        assertThat(due("2026-11-28T15:00:00Z", NOON)).isTrue();
        assertThat(due("2026-11-29T08:00:00Z", NOON)).isFalse();
        assertThat(due("2026-11-29T01:00:00Z", Instant.parse("2026-11-29T03:00:00Z")))
                .isTrue();
    }
}
