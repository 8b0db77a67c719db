package org.unrulymarble.core.defaults;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.Cases;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;

class PlanningTest {

    @Test
    void the_shipped_values_are_sound_and_get_quicker_with_age() throws IOException {
        try (InputStream in = Planning.class.getResourceAsStream("/defaults/values.yaml")) {
            Object yaml = new Yaml(new SafeConstructor(new LoaderOptions())).load(in);
            Planning planning = Cases.JSON.convertValue(yaml, Planning.class);

            assertThat(planning.balls()).extracting(Planning.BallKind::id).doesNotHaveDuplicates();
            assertThat(planning.nets()).extracting(Planning.NetPreset::id).doesNotHaveDuplicates();
            assertThat(planning.reactions())
                    .extracting(Planning.ReactionByAge::fromAge)
                    .isSorted();
            assertThat(planning.reactions())
                    .extracting(r -> -r.reactionSec() - r.handMoveSec())
                    .isSorted();
            assertThat(planning.slalomLevels())
                    .extracting(Planning.SlalomLevel::gapM)
                    .isSorted();
        }
    }
}
