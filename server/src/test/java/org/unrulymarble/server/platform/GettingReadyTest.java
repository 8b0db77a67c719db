package org.unrulymarble.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.context.ApplicationContext;
import org.unrulymarble.server.Api;
import org.unrulymarble.server.ApiTest;

@ApiTest
class GettingReadyTest {

    @Autowired
    private Api api;

    @Autowired
    private ApplicationContext context;

    @AfterEach
    void ready() {
        AvailabilityChangeEvent.publish(context, ReadinessState.ACCEPTING_TRAFFIC);
    }

    @Test
    void until_the_demo_is_filled_it_says_so_and_offers_no_first_account() {
        AvailabilityChangeEvent.publish(context, ReadinessState.REFUSING_TRAFFIC);

        Api.Answer session = api.get("/api/session");
        assertThat(session.status()).isEqualTo(503);
        assertThat(session.text()).contains("Getting ready", "about a minute").doesNotContain("setupNeeded");
        assertThat(api.post("/api/setup", "{\"username\":\"x\",\"password\":\"y\"}")
                        .status())
                .isEqualTo(503);

        ready();
        assertThat(api.get("/api/session").status()).isEqualTo(200);
    }
}
