package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Import;
import org.unrulymarble.server.account.AccountService;

/** An install where nobody has an account yet. */
@SpringBootTest(
        properties = {
            "spring.datasource.url=jdbc:h2:mem:first;DB_CLOSE_DELAY=-1",
            "marble.hash-rounds-log2=4",
            "marble.data=target/test-data",
            "marble.nightly=false",
            "marble.https=false"
        })
@AutoConfigureMockMvc
@Import(Api.class)
class FirstAccountTest {

    private static final int AT_ONCE = 6;

    @Autowired
    private Api api;

    @Autowired
    private AccountService accounts;

    @Test
    void of_several_who_set_up_at_once_one_does() throws Exception {
        CyclicBarrier ready = new CyclicBarrier(AT_ONCE);
        ExecutorService all = Executors.newFixedThreadPool(AT_ONCE);
        List<Future<Integer>> answers = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            Api one = api.another().from("10.6.0." + i);
            String body =
                    "{\"code\":\"%s\",\"username\":\"first%d\",\"displayName\":\"First\",\"password\":\"kettle under seven larches\"}"
                            .formatted(accounts.setupCode(), i);
            Callable<Integer> ask = () -> {
                ready.await();
                return one.post("/api/setup", body).status();
            };
            answers.add(all.submit(ask));
        }
        List<Integer> status = new ArrayList<>();
        for (Future<Integer> answer : answers) status.add(answer.get());
        all.shutdown();

        assertThat(status).containsOnlyOnce(201).containsOnly(201, 400);
        assertThat(api.get("/api/session").body().get("setupNeeded").booleanValue())
                .isFalse();
    }
}
