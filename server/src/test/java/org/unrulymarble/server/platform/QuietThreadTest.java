package org.unrulymarble.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.ExecutorService;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

class QuietThreadTest {

    /** In a thread's line of figures, counted from behind its name. */
    private static final int NICE_AT = 16;

    @Test
    @EnabledOnOs(OS.LINUX)
    void the_kernel_too_lets_others_go_first_and_whoever_asked_keeps_its_place() throws Exception {
        ExecutorService quiet = QuietThread.named("quiet");
        try {
            assertThat(quiet.submit(QuietThreadTest::nice).get()).isEqualTo(QuietThread.NICE);
        } finally {
            quiet.shutdownNow();
        }
        assertThat(nice()).isLessThan(QuietThread.NICE);
    }

    private static int nice() throws IOException {
        String line = Files.readString(Path.of("/proc/thread-self/stat"));
        return Integer.parseInt(line.substring(line.lastIndexOf(')') + 2).split(" ")[NICE_AT]);
    }
}
