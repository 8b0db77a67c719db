package org.unrulymarble.server.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.unrulymarble.server.platform.StoreFailure;

/** A store that fails once more while its failure is being told, as when the session is kept. */
class NoRoomFilterTest {

    private static final int CLOSED = 90098;

    private final List<Object> published = new ArrayList<>();
    private final NoRoomFilter filter = new NoRoomFilter(null, null, published::add);

    @Test
    void who_was_told_that_the_disk_failed_is_not_told_twice() throws Exception {
        MockHttpServletResponse response = answered(507);

        assertThat(response.getStatus()).isEqualTo(507);
        assertThat(published).hasOnlyElementsOfType(StoreFailure.Happened.class).hasSize(1);
    }

    @Test
    void an_answer_that_broke_off_in_the_middle_is_broken_off() {
        assertThatThrownBy(() -> answered(200)).isInstanceOf(DataAccessResourceFailureException.class);
        assertThat(published).as("the store is opened anew").hasSize(1);
    }

    private MockHttpServletResponse answered(int status) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        filter.doFilter(new MockHttpServletRequest("GET", "/api/classes"), response, (request, to) -> {
            ((MockHttpServletResponse) to).setStatus(status);
            to.flushBuffer();
            throw new DataAccessResourceFailureException("session", new SQLException("closed", "90098", CLOSED));
        });
        return response;
    }
}
