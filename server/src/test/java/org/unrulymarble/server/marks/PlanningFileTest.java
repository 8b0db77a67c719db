package org.unrulymarble.server.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.unrulymarble.core.defaults.Planning;
import tools.jackson.databind.json.JsonMapper;

class PlanningFileTest {

    private final JsonMapper json = JsonMapper.builder().build();

    @TempDir
    private Path data;

    @Test
    void a_school_may_keep_its_own_values_and_a_bad_one_is_named() throws IOException {
        Path shipped = Path.of("../core/src/main/resources/defaults/values.yaml");
        String text = Files.readString(shipped);
        assertThat(planning().usual().clapSec()).isEqualTo(0.28);

        Files.writeString(data.resolve(PlanningFile.OWN), text.replace("clapSec: 0.28", "clapSec: 0.35"));
        assertThat(planning().usual().clapSec()).isEqualTo(0.35);

        // A school's file from before courses could be drawn says nothing of them.
        Files.writeString(data.resolve(PlanningFile.OWN), text.replaceAll("(?m)^coursePaces:(\n .*)+", ""));
        assertThat(planning().coursePaces().withBall().straightMs()).isEqualTo(1.2);
        Files.writeString(data.resolve(PlanningFile.OWN), text.replace("straightMs: 1.2", "straightMs: 2.4"));
        assertThat(planning().coursePaces().withBall().straightMs()).isEqualTo(2.4);

        Files.writeString(data.resolve(PlanningFile.OWN), text.replace("clapSec: 0.28", "clapSec: -1"));
        assertThatThrownBy(this::planning)
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining(PlanningFile.OWN)
                .hasMessageContaining("clapSec");
        Files.writeString(data.resolve(PlanningFile.OWN), "usual: [broken");
        assertThatThrownBy(this::planning).isInstanceOf(IllegalStateException.class);
    }

    private Planning planning() throws IOException {
        return new PlanningFile().planning(data, json);
    }
}
