package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.servlet.http.Cookie;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.MockMvc;

@ApiTest
class SignInTest {

    @Autowired
    private Api api;

    @Autowired
    private MockMvc mvc;

    @Test
    void one_signs_in_is_known_and_signs_out() {
        assertThat(api.asNobody().get("/api/session").body().get("who").isNull())
                .isTrue();
        api.as("helper");
        assertThat(api.get("/api/session").body().get("who").get("role").stringValue())
                .isEqualTo("HELPER");
        assertThat(api.send(HttpMethod.DELETE, "/api/session", null).status()).isEqualTo(204);
        assertThat(api.get("/api/lessons").status()).isEqualTo(401);
    }

    @Test
    void after_ten_wrong_passwords_one_waits() {
        String wrong = "{\"username\":\"somebody\",\"password\":\"guess\"}";
        for (int i = 0; i < 10; i++)
            assertThat(api.asNobody().post("/api/session", wrong).status()).isEqualTo(401);

        Api.Answer answer = api.asNobody().post("/api/session", wrong);

        assertThat(answer.status()).isEqualTo(429);
        assertThat(answer.body().get("detail").stringValue()).matches("Please wait \\d+ seconds and try again\\.");
    }

    @Test
    void without_its_token_a_page_changes_nothing() throws Exception {
        mvc.perform(post("/api/session")
                        .contentType("application/json")
                        .content("{\"username\":\"okafor\",\"password\":\"okafor-demo\"}"))
                .andExpect(status().isForbidden());
    }

    @Test
    void pages_carry_a_policy_that_lets_no_script_in_and_no_request_out() throws Exception {
        mvc.perform(get("/api/session"))
                .andExpect(
                        header().string(
                                        "Content-Security-Policy",
                                        org.hamcrest.Matchers.startsWith(
                                                "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; object-src 'none'")));
        Cookie token =
                mvc.perform(get("/api/session")).andReturn().getResponse().getCookie("XSRF-TOKEN");
        assertThat(token).isNotNull();
        assertThat(token.isHttpOnly()).as("the page must read it").isFalse();
    }

    @Test
    void setting_up_is_over_once_there_is_an_account() {
        assertThat(api.asNobody()
                        .post(
                                "/api/setup",
                                "{\"code\":\"ABCDEFGH\",\"username\":\"eve\",\"displayName\":\"Eve\",\"password\":\"long-enough\"}")
                        .badFields())
                .containsExactly("code");
    }
}
