package org.unrulymarble.server.ladder;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.unrulymarble.server.Api;
import org.unrulymarble.server.ApiTest;

/** Routines kept under their names: for every teacher, no helper; two of one name are refused, a lost change too. */
@ApiTest
class RoutinesApiTest {

    @Autowired
    private Api api;

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
    }

    private static String doc(String version, String name, String what) {
        return """
                {"version":%s,"routine":{"name":"%s","moves":[{"what":"%s","count":10,"sec":12,"eachSide":true},
                {"what":"Held high","count":null,"sec":5,"eachSide":false}]}}""".formatted(version, name, what);
    }

    @Test
    void one_is_kept_changed_by_another_teacher_and_a_lost_change_is_refused() {
        Api.Answer kept = api.post("/api/routines", doc("null", "Round and high", "Round the waist"));
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
        String id = kept.body().get("id").stringValue();

        api.as("brambell");
        assertThat(api.get("/api/routines")
                        .body()
                        .valueStream()
                        .map(k -> k.get("routine").get("name").stringValue()))
                .contains("Round and high");
        assertThat(api.put("/api/routines/" + id, doc("0", "Round and high", "Round the knees"))
                        .status())
                .isEqualTo(200);

        api.as("okafor");
        assertThat(api.put("/api/routines/" + id, doc("0", "Round and high", "Round the head"))
                        .status())
                .isEqualTo(409);
        assertThat(api.get("/api/routines").text()).contains("Round the knees").doesNotContain("Round the head");
        assertThat(api.delete("/api/routines/" + id).status()).isEqualTo(204);
        assertThat(api.get("/api/routines").text()).doesNotContain("Round and high");
    }

    @Test
    void a_name_is_kept_once_and_what_is_no_routine_says_which_field() {
        String id = api.post("/api/routines", doc("null", "Twice", "Round"))
                .body()
                .get("id")
                .stringValue();
        assertThat(api.post("/api/routines", doc("null", "twice", "Round")).badFields())
                .containsExactly("routine.name");
        assertThat(api.post("/api/routines", "{\"routine\":{\"name\":\"x\",\"moves\":[]}}")
                        .badFields())
                .containsExactly("routine.moves");
        assertThat(api.post("/api/routines", doc("null", "", "Round")).badFields())
                .containsExactly("routine.name");
        api.delete("/api/routines/" + id);
    }

    @Test
    void a_helper_keeps_none() {
        api.as("helper");
        assertThat(api.get("/api/routines").status()).isEqualTo(403);
        assertThat(api.post("/api/routines", doc("null", "Mine", "Round")).status())
                .isEqualTo(403);
    }
}
