package org.unrulymarble.server.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class WallAliasesTest {

    private final WallAliases aliases = new WallAliases(JsonMapper.shared());

    @Test
    void events_stay_in_the_order_of_their_ids() {
        List<UUID> ids = new ArrayList<>();
        for (int ms = 0; ms < 40; ms++)
            for (long count = 0; count < 5; count++)
                ids.add(new UUID(
                        (0x0190_0000_0000L + ms) << 16 | 0x7000 | count,
                        0x8000_0000_0000_0000L | UUID.randomUUID().getLeastSignificantBits() >>> 4));

        List<String> told =
                aliases.hidden(ids).valueStream().map(JsonNode::stringValue).toList();

        assertThat(told).isSorted().doesNotHaveDuplicates();
    }

    @Test
    void whoever_is_meant_is_meant_everywhere_and_no_id_is_told() {
        UUID pupil = UUID.randomUUID();

        JsonNode told = aliases.hidden(Map.of("names", Map.of(pupil, "Amaru"), "workers", List.of(pupil)));

        String worker = told.at("/workers/0").stringValue();
        assertThat(told.get("names").get(worker).stringValue()).isEqualTo("Amaru");
        assertThat(pupil.toString().replace("-", "")).as("no part of it").doesNotContain(worker.substring(0, 6));
    }
}
