package org.unrulymarble.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

class GroupCommitTest {

    private final List<List<String>> written = Collections.synchronizedList(new ArrayList<>());
    private final CountDownLatch go = new CountDownLatch(1);

    @Test
    void what_is_asked_together_is_written_together_and_one_that_cannot_be_harms_no_other() throws Exception {
        ExecutorService askers = Executors.newFixedThreadPool(20);
        try (GroupCommit<String> commit = new GroupCommit<>("test", this::write)) {
            List<Future<?>> asked = new ArrayList<>();
            asked.add(askers.submit(() -> commit.keep("first")));
            for (int i = 0; i < 10; i++) {
                String what = "tap " + i;
                asked.add(askers.submit(() -> commit.keep(what)));
            }
            Future<?> bad = askers.submit(() -> commit.keep("bad"));
            go.countDown();

            for (Future<?> f : asked) f.get();
            assertThatThrownBy(bad::get).hasRootCauseMessage("refused");
            assertThat(written.stream().flatMap(List::stream))
                    .hasSize(11)
                    .doesNotContain("bad")
                    .doesNotHaveDuplicates();
        } finally {
            askers.shutdownNow();
        }
    }

    /** Waits until all have asked, then writes all or nothing. */
    private void write(List<String> together) {
        try {
            go.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        if (together.contains("bad")) throw new IllegalStateException("refused");
        written.add(List.copyOf(together));
    }
}
