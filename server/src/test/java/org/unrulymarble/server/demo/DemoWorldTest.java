package org.unrulymarble.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.ApiTest;

@ApiTest
class DemoWorldTest {

    @Autowired
    private DemoWorld demo;

    @Autowired
    private JdbcTemplate sql;

    @Test
    @Transactional
    void a_demo_of_some_weeks_ago_moves_on_by_whole_weeks() {
        LocalDate before = nextLesson();
        sql.update("update lesson set on_day = on_day - 21");
        sql.update("update attempt set on_day = on_day - 21");
        LocalDate lastTry = lastTry();

        demo.keepFresh();

        assertThat(nextLesson()).isEqualTo(before);
        assertThat(lastTry()).isEqualTo(lastTry.plusDays(21));
    }

    @Test
    @Transactional
    void a_demo_from_before_there_was_an_administrator_gets_one() {
        sql.update("delete from account where username = 'quay'");

        demo.keepFresh();

        assertThat(sql.queryForObject("select role from account where username = 'quay'", String.class))
                .isEqualTo("ADMINISTRATOR");
    }

    private LocalDate nextLesson() {
        return sql.queryForObject(
                "select max(on_day) from lesson where name = 'Sail loft, wet Tuesday'", LocalDate.class);
    }

    private LocalDate lastTry() {
        return sql.queryForObject("select max(on_day) from attempt", LocalDate.class);
    }
}
