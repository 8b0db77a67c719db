package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Who may what, and what is told of it. */
@ApiTest
class AccountsApiTest {

    private static final String GOOD = "kettle under seven larches";

    @Autowired
    private Api api;

    private static int made;

    @BeforeEach
    void asAdministrator() {
        api.as("quay");
    }

    @ParameterizedTest
    @ValueSource(strings = {"okafor", "helper"})
    void only_an_administrator_sees_and_changes_accounts(String name) {
        JsonNode other = person("brambell");
        String path = "/api/people/" + other.get("id").stringValue();

        api.as(name);

        assertThat(api.get("/api/people").status()).isEqualTo(403);
        assertThat(api.post("/api/people", "{\"username\":\"eve\",\"displayName\":\"Eve\",\"role\":\"ADMINISTRATOR\"}")
                        .status())
                .isEqualTo(403);
        assertThat(api.put(path, doc(other, "TEACHER", false)).status()).isEqualTo(403);
        assertThat(api.post(path + "/code", "").status()).isEqualTo(403);
        assertThat(api.get("/api/audit").status()).isEqualTo(403);
        assertThat(api.get("/api/audit/audit.csv").status()).isEqualTo(403);
        api.as("quay");
        assertThat(person("brambell")).as("nothing was changed").isEqualTo(other);
    }

    @Test
    void who_is_invited_comes_in_once_by_the_code_and_sets_a_password() {
        JsonNode invited = invite("HELPER");
        String name = invited.at("/person/username").stringValue();
        String code = invited.get("code").stringValue();
        Api guest = api.another();

        assertThat(signIn(guest, name, "")).isEqualTo(400);
        assertThat(signIn(guest, name, code)).isEqualTo(401);
        assertThat(join(guest, name, "AAAAAAAAAA", GOOD).badFields()).containsExactly("code");
        assertThat(join(guest, "nobody-here", code, GOOD).badFields()).containsExactly("code");
        assertThat(join(guest, name, code, "short").badFields()).containsExactly("password");
        Api.Answer in = join(guest, " " + name.toUpperCase(java.util.Locale.ROOT), code.toLowerCase(), GOOD);
        assertThat(in.body().at("/who/role").stringValue()).isEqualTo("HELPER");
        assertThat(join(api.another(), name, code, GOOD + " again").badFields()).containsExactly("code");
        assertThat(signIn(api.another(), name, GOOD)).isEqualTo(200);

        String id = invited.at("/person/id").stringValue();
        assertThat(told(id)).contains("INVITED", "JOINED");
        assertThat(api.post(
                                "/api/people",
                                "{\"username\":\"%s\",\"displayName\":\"Again\",\"role\":\"HELPER\"}".formatted(name))
                        .badFields())
                .containsExactly("username");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            eleven char|12 characters or more
            ääääääääääääääääääääääääääääääääääääääää|at most 72 bytes
            Passwordpassword1|common passwords
            123456789012345|common passwords
            %s-%s-2026|something else than the name
            """)
    void a_new_password_that_is_short_long_common_or_the_name_is_refused_with_the_reason(String bad, String must) {
        JsonNode invited = invite("TEACHER");
        String name = invited.at("/person/username").stringValue();

        Api.Answer answer = join(api.another(), name, invited.get("code").stringValue(), bad.replace("%s", name));

        assertThat(answer.badFields()).as(answer.text()).containsExactly("password");
        assertThat(answer.body().at("/errors/0/must").stringValue()).contains(must);
        // The code is not used up by it.
        assertThat(join(api.another(), name, invited.get("code").stringValue(), GOOD)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void a_new_code_or_closing_ends_at_once_what_is_open_with_the_account() {
        JsonNode invited = invite("TEACHER");
        String name = invited.at("/person/username").stringValue();
        String path = "/api/people/" + invited.at("/person/id").stringValue();
        Api guest = api.another();
        join(guest, name, invited.get("code").stringValue(), GOOD);
        assertThat(guest.get("/api/lessons").status()).isEqualTo(200);

        String code = api.post(path + "/code", "").body().get("code").stringValue();
        assertThat(guest.get("/api/lessons").status()).isEqualTo(401);
        assertThat(signIn(guest, name, GOOD)).isEqualTo(401);
        assertThat(join(guest, name, code, GOOD + " anew").status()).isEqualTo(200);

        JsonNode now = person(name);
        assertThat(api.put(path, doc(now, "TEACHER", false)).status()).isEqualTo(200);
        assertThat(guest.get("/api/lessons").status()).isEqualTo(401);
        assertThat(signIn(guest, name, GOOD + " anew")).isEqualTo(401);
        assertThat(api.put(path, doc(now, "TEACHER", true)).status())
                .as("an older version")
                .isEqualTo(409);
        assertThat(told(invited.at("/person/id").stringValue())).contains("PASSWORD_RESET", "ACCOUNT_CLOSED");
    }

    @Test
    void an_administrator_neither_closes_nor_lowers_nor_resets_the_own_account() {
        JsonNode me = person("quay");
        String path = "/api/people/" + me.get("id").stringValue();
        assertThat(api.put(path, doc(me, "TEACHER", false)).badFields()).containsExactlyInAnyOrder("active", "role");
        assertThat(api.post(path + "/code", "").badFields()).containsExactly("id");
        assertThat(api.get("/api/classes").body())
                .as("and sees no class of others")
                .isEmpty();
    }

    @Test
    void one_sets_ones_own_password_with_the_one_before_and_is_signed_out_elsewhere() {
        JsonNode invited = invite("HELPER");
        String name = invited.at("/person/username").stringValue();
        Api here = api.another();
        join(here, name, invited.get("code").stringValue(), GOOD);
        Api elsewhere = api.another().as(name, GOOD);
        String change = "{\"old\":\"%s\",\"password\":\"%s\"}";

        assertThat(here.put("/api/session/password", change.formatted("a guess", GOOD + "!"))
                        .badFields())
                .containsExactly("old");
        assertThat(here.put("/api/session/password", change.formatted(GOOD, GOOD))
                        .badFields())
                .containsExactly("password");
        assertThat(elsewhere.get("/api/lessons").status()).isEqualTo(200);
        assertThat(here.put("/api/session/password", change.formatted(GOOD, "nine lamps in the fog"))
                        .status())
                .isEqualTo(204);

        assertThat(here.get("/api/lessons").status()).isEqualTo(200);
        assertThat(elsewhere.get("/api/lessons").status()).isEqualTo(401);
        assertThat(signIn(api.another(), name, GOOD)).isEqualTo(401);
        assertThat(signIn(api.another(), name, "nine lamps in the fog")).isEqualTo(200);
    }

    @Test
    void a_name_in_many_spellings_is_one_name_to_whoever_guesses() {
        Api attacker = api.another().from("10.9.0.1");
        int free = 0;
        for (int i = 0; i < 25; i++) {
            String spelt = " ".repeat(i % 5) + (i % 2 == 0 ? "brambell" : "BrAmBell") + " ".repeat(i / 5);
            if (signIn(attacker, spelt, "guess") == 401) free++;
        }
        assertThat(free).isBetween(10, 12);
        // A header that anybody can send makes no other address.
        assertThat(signIn(attacker.passedOnFor("10.9.0.77"), "brambell", "guess"))
                .isEqualTo(429);
        assertThat(signIn(api.another().from("10.9.0.2"), "brambell", "brambell-demo"))
                .as("the teacher herself, elsewhere")
                .isEqualTo(200);
    }

    @Test
    void one_address_cannot_try_all_names_and_many_addresses_lock_nobody_out_where_they_are_known() {
        JsonNode invited = invite("TEACHER");
        String name = invited.at("/person/username").stringValue();
        Api hers = api.another().from("10.8.0.1");
        join(hers, name, invited.get("code").stringValue(), GOOD);
        Api attacker = api.another().from("10.8.0.2");
        int free = 0;
        for (int i = 0; i < 90; i++) if (signIn(attacker, "name" + i, "guess") == 401) free++;
        assertThat(free).isBetween(60, 70);

        int onOneName = 0;
        for (int i = 0; i < 200; i++) if (signIn(api.another().from("10.8.1." + i), name, "guess") == 401) onOneName++;
        assertThat(onOneName).isBetween(140, 175);
        assertThat(signIn(api.another().from("10.8.2.1"), name, GOOD)).isEqualTo(429);
        assertThat(signIn(hers, name, GOOD)).isEqualTo(200);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Eve\u202Egnp", "Eve\u0007", "E\u200Fve", "\u2066Eve"})
    void names_hold_nothing_that_turns_letters_round_or_controls(String name) {
        String json = name.replace("\u0007", "\\u0007");
        assertThat(api.post(
                                "/api/people",
                                "{\"username\":\"eve%d\",\"displayName\":\"%s\",\"role\":\"HELPER\"}"
                                        .formatted(++made, json))
                        .badFields())
                .containsExactly("displayName");
        api.as("okafor");
        assertThat(api.post("/api/classes", "{\"version\":null,\"name\":\"%s\",\"pupils\":[]}".formatted(json))
                        .badFields())
                .containsExactly("name");
    }

    @Test
    void the_audit_tells_looks_exports_and_refusals_by_ids_and_never_by_contents() {
        Api teacher = api.another().as("okafor");
        String classId = teacher.id("/api/classes", "Turnstone 6");
        JsonNode pupil =
                teacher.get("/api/classes/" + classId).body().get("pupils").get(5);
        String id = pupil.get("id").stringValue();
        teacher.get("/api/pupils/" + id + "/record");
        teacher.get("/api/pupils/" + id + "/record");
        teacher.get("/api/pupils/" + id + "/export.json");
        teacher.get("/api/classes/" + classId + "/results.csv");
        signIn(api.another().from("10.7.0.3"), "okafor", "my other secret");

        JsonNode all = api.get("/api/audit?most=500").body();
        assertThat(all.valueStream()
                        .filter(e -> e.get("about").toString().contains(id))
                        .map(e -> e.get("kind").stringValue()))
                .as("a look is told once an hour")
                .containsExactlyInAnyOrder("PUPIL_LOOKED_AT", "PUPIL_EXPORTED");
        assertThat(all.valueStream()
                        .filter(e -> e.get("about").toString().contains(classId))
                        .map(e -> e.get("kind").stringValue()))
                .contains("CLASS_EXPORTED");
        assertThat(all.valueStream().filter(e -> e.get("address").toString().contains("10.7.0.3")))
                .singleElement()
                .satisfies(e -> {
                    assertThat(e.get("kind").stringValue()).isEqualTo("SIGN_IN_REFUSED");
                    assertThat(e.get("accountId").isNull()).isTrue();
                });
        String file = api.get("/api/audit/audit.csv").text();
        assertThat(file.lines().count()).isGreaterThan(all.size());
        assertThat(file).startsWith("number,at,account,address,kind,about").contains(id);
        assertThat(file + all)
                .doesNotContain("my other secret")
                .doesNotContain(pupil.get("name").stringValue());
        Set<Long> numbers = new HashSet<>();
        all.forEach(e -> numbers.add(e.get("number").longValue()));
        assertThat(numbers).hasSameSizeAs(all);
    }

    private JsonNode invite(String role) {
        return api.post(
                        "/api/people",
                        "{\"username\":\"tern%d\",\"displayName\":\"Miss Tern\",\"role\":\"%s\"}"
                                .formatted(++made, role))
                .body();
    }

    private JsonNode person(String username) {
        return api.get("/api/people")
                .body()
                .valueStream()
                .filter(p -> p.get("username").stringValue().equals(username))
                .findFirst()
                .orElseThrow();
    }

    private Set<String> told(String accountId) {
        Set<String> kinds = new HashSet<>();
        for (JsonNode e : api.get("/api/audit?most=500").body())
            if (e.get("about").toString().contains(UUID.fromString(accountId).toString()))
                kinds.add(e.get("kind").stringValue());
        return kinds;
    }

    private static String doc(JsonNode person, String role, boolean active) {
        return "{\"version\":%s,\"displayName\":%s,\"role\":\"%s\",\"active\":%s}"
                .formatted(person.get("version"), person.get("displayName"), role, active);
    }

    private static Api.Answer join(Api by, String name, String code, String password) {
        return by.post(
                "/api/session/join",
                "{\"username\":\"%s\",\"code\":\"%s\",\"password\":\"%s\"}".formatted(name, code, password));
    }

    private static int signIn(Api by, String name, String password) {
        return by.post("/api/session", "{\"username\":\"%s\",\"password\":\"%s\"}".formatted(name, password))
                .status();
    }
}
