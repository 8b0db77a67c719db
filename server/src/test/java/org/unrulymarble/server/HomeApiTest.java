package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.unrulymarble.core.home.HomeTold;
import org.unrulymarble.core.home.ReturnCode;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A class's week goes home and comes back: cards, paper, codes, slips, the record, and gone with the pupil. */
@ApiTest
class HomeApiTest {

    private static final Schema CARD = schema();

    @Autowired
    private Api api;

    private String classId;

    private static Schema schema() {
        try {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(Files.readString(Path.of("../docs/schemas/card.json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @BeforeEach
    void asTeacher() {
        api.as("okafor");
        classId = api.id("/api/classes", "Turnstone 6");
    }

    private JsonNode made(String more) {
        return made(LocalDate.now(), more);
    }

    private JsonNode made(LocalDate firstDay, String more) {
        List<String> before = ids();
        assertThat(api.post(
                                "/api/classes/" + classId + "/home/weeks",
                                "{\"firstDay\":\"%s\",\"practices\":2,\"minutes\":8%s}".formatted(firstDay, more))
                        .status())
                .isEqualTo(201);
        Awaitility.await()
                .atMost(3, TimeUnit.MINUTES)
                .until(() -> week(before).get("making").isNull());
        return week(before);
    }

    private List<String> ids() {
        List<String> ids = new ArrayList<>();
        home().get("weeks").forEach(w -> ids.add(w.get("id").stringValue()));
        return ids;
    }

    private JsonNode home() {
        return api.get("/api/classes/" + classId + "/home").body();
    }

    private JsonNode week(List<String> not) {
        for (JsonNode w : home().get("weeks")) if (!not.contains(w.get("id").stringValue())) return w;
        throw new AssertionError("no new week");
    }

    private List<String> pupils(int many) {
        List<String> ids = new ArrayList<>();
        JsonNode pupils = api.get("/api/classes/" + classId).body().get("pupils");
        for (int i = 0; i < many; i++) ids.add("\"" + pupils.get(i).get("id").stringValue() + "\"");
        return ids;
    }

    private JsonNode data(String cardId) {
        String page = api.get("/api/home/cards/" + cardId + "/page?look=true").text();
        String from = "id=\"card-data\">";
        int at = page.indexOf(from) + from.length();
        String data = page.substring(at, page.indexOf("</script>", at));
        assertThat(CARD.validate(data, InputFormat.JSON)).as(data).isEmpty();
        return JsonMapper.shared().readTree(data);
    }

    private static String code(JsonNode data, int practice, List<Integer> numbers, ReturnCode.Felt felt) {
        List<Integer> most = new ArrayList<>();
        data.get("practices")
                .get(practice - 1)
                .get("what")
                .get("boxes")
                .forEach(b -> most.add(b.get("most").intValue()));
        List<Integer> said = new ArrayList<>(numbers);
        while (said.size() < most.size()) said.add(null);
        return new ReturnCode(data.get("card").intValue(), practice, said.subList(0, most.size()), felt)
                .code(HexFormat.of().parseHex(data.get("key").stringValue()), most);
    }

    @Test
    void what_comes_back_is_taken_once_shown_and_kept_as_from_home() {
        JsonNode week = made(",\"pupilIds\":" + pupils(2));
        JsonNode card = week.get("cards").get(0);
        String pupilId = card.get("pupilId").stringValue();
        JsonNode data = data(card.get("id").stringValue());
        String right = code(data, 1, Arrays.asList(3, null, 2), ReturnCode.Felt.HARD);
        String wrong = right.substring(0, 6) + (right.charAt(6) == 'A' ? 'C' : 'A') + right.substring(7);
        String paper = card.get("each").get(0).get("number").stringValue();

        JsonNode heard = api.post(
                        "/api/classes/" + classId + "/home/came",
                        JsonMapper.shared()
                                .writeValueAsString(java.util.Map.of(
                                        "text", right.toLowerCase() + "\n" + right + ", " + wrong + "\n" + paper)))
                .body();
        assertThat(heard.get("taken")).hasSize(1);
        assertThat(heard.get("taken").get(0).get("pupil").stringValue())
                .isEqualTo(card.get("pupil").stringValue());
        assertThat(heard.get("wrong").findValuesAsString("wrong"))
                .containsExactly("CAME_BEFORE", "CHECK", "PAPER_NUMBER");

        JsonNode unread = api.get("/api/classes/" + classId + "/home").body().get("unread");
        JsonNode line = unread.get(unread.size() - 1);
        assertThat(line.get("line").stringValue()).isEqualTo(wrong);
        String path = "/api/classes/" + classId + "/home/";
        // Put right, but with what came before: it leaves the list, and nothing is taken twice.
        JsonNode again = api.post(
                        path + "came",
                        "{\"text\":\"%s\",\"mended\":\"%s\"}"
                                .formatted(right, line.get("id").stringValue()))
                .body();
        assertThat(again.get("wrong").findValuesAsString("wrong")).containsExactly("CAME_BEFORE");
        assertThat(api.get("/api/classes/" + classId + "/home").body().get("unread"))
                .hasSize(unread.size() - 1);
        // What is no code is told and not kept; what is one waits until it is dropped.
        api.post(path + "came", "{\"text\":\"Dear Ms O., here is the code\\n2222-3333-44\"}");
        JsonNode waits = api.get("/api/classes/" + classId + "/home").body().get("unread");
        assertThat(waits).hasSize(unread.size());
        String id = waits.get(waits.size() - 1).get("id").stringValue();
        assertThat(api.as("brambell").delete(path + "unread/" + id).status()).isEqualTo(404);
        assertThat(api.as("okafor").delete(path + "unread/" + id).body().get("unread"))
                .hasSize(unread.size() - 1);

        int rounds = rounds(pupilId);
        String decided = "{\"ids\":[\"%s\"]}"
                .formatted(heard.get("taken").get(0).get("id").stringValue());
        api.post("/api/classes/" + classId + "/home/kept", decided);
        JsonNode after =
                api.post("/api/classes/" + classId + "/home/kept", decided).body();
        assertThat(after.get("came").findValuesAsString("pupilId")).doesNotContain(pupilId);
        assertThat(rounds(pupilId)).isEqualTo(rounds + 2);
        JsonNode attempt =
                api.get("/api/pupils/" + pupilId + "/attempts").body().get(0).get("attempt");
        assertThat(attempt.get("where").stringValue()).isEqualTo("HOME");
        assertThat(attempt.get("confirmed").booleanValue()).isFalse();
        assertThat(attempt.get("countedBy").stringValue()).isEqualTo("SELF");
    }

    private int rounds(String pupilId) {
        return api.get("/api/pupils/" + pupilId + "/record")
                .body()
                .get("rounds")
                .intValue();
    }

    @Test
    void a_card_is_made_anew_without_a_task_as_long_as_nothing_came_back() {
        JsonNode card = made(",\"pupilIds\":" + pupils(1)).get("cards").get(0);
        String path = "/api/home/cards/" + card.get("id").stringValue();
        JsonNode before = data(card.get("id").stringValue());
        String unwanted = card.at("/tasks/0/ladderId").stringValue();
        String oldCode = code(before, 1, List.of(1), ReturnCode.Felt.EASY);

        assertThat(api.post(path + "/remade", "{\"without\":[]}").badFields()).containsExactly("without");
        assertThat(api.post(path + "/remade", "{\"without\":[\"%s\"]}".formatted(unwanted))
                        .status())
                .isEqualTo(204);

        JsonNode after = cardOf(card.get("id").stringValue());
        assertThat(after.get("practices")).isEqualTo(card.get("practices"));
        assertThat(after.get("tasks").toString()).doesNotContain("\"" + unwanted + "\"");
        assertThat(data(card.get("id").stringValue()).get("practices").toString())
                .doesNotContain("\"" + unwanted + "\"");
        assertThat(came(oldCode).get("taken")).as("a code of the card before").isEmpty();
        String newCode = code(data(card.get("id").stringValue()), 1, List.of(1), ReturnCode.Felt.EASY);
        JsonNode taken = came(newCode).get("taken");
        assertThat(taken).hasSize(1);
        assertThat(api.post(path + "/remade", "{\"without\":[\"%s\"]}".formatted(unwanted))
                        .badFields())
                .containsExactly("card");
        // Nothing waits for the next test.
        home().get("came")
                .forEach(c ->
                        api.post("/api/classes/" + classId + "/home/aside", "{\"ids\":[%s]}".formatted(c.get("id"))));
    }

    private JsonNode came(String code) {
        return api.post("/api/classes/" + classId + "/home/came", "{\"text\":\"%s\"}".formatted(code))
                .body();
    }

    private JsonNode cardOf(String id) {
        for (JsonNode w : home().get("weeks"))
            for (JsonNode card : w.get("cards"))
                if (card.get("id").stringValue().equals(id)) return card;
        throw new AssertionError("no card " + id);
    }

    @Test
    void a_withdrawn_card_and_another_class_say_so_and_slips_are_checked_by_range() {
        JsonNode week = made(",\"pupilIds\":" + pupils(2));
        JsonNode first = week.get("cards").get(0);
        String cardId = first.get("id").stringValue();
        String code = code(data(cardId), 1, List.of(1), null);
        api.post("/api/home/cards/" + cardId + "/withdrawn", "");
        assertThat(wrongOf(classId, code)).containsExactly("WITHDRAWN");

        String otherCard = week.get("cards").get(1).get("id").stringValue();
        String dunlins = code(data(otherCard), 1, List.of(1), null);
        api.as("brambell");
        String otherClass = api.get("/api/classes").body().get(0).get("id").stringValue();
        assertThat(wrongOf(otherClass, dunlins)).containsExactly("NO_SUCH_CARD");
        api.as("okafor");

        int boxes = week.get("cards").get(1).get("each").get(0).get("boxes").size();
        String slip = "{\"slips\":[{\"cardId\":\"%s\",\"practice\":1,\"numbers\":[%s]}]}";
        String tooMuch = "999999" + ",null".repeat(boxes - 1);
        var refused = api.post("/api/classes/" + classId + "/home/slips", slip.formatted(otherCard, tooMuch));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains("slips[0].numbers[0]");
        String fits = "0" + ",null".repeat(boxes - 1);
        assertThat(api.post("/api/classes/" + classId + "/home/slips", slip.formatted(otherCard, fits))
                        .body()
                        .get("taken"))
                .hasSize(1);
    }

    private List<String> wrongOf(String of, String code) {
        return api.post("/api/classes/" + of + "/home/came", "{\"text\":\"" + code + "\"}")
                .body()
                .get("wrong")
                .findValuesAsString("wrong");
    }

    @Test
    void what_a_family_tells_of_its_home_goes_to_the_pupil_when_it_is_kept() {
        JsonNode card = made(",\"pupilIds\":" + pupils(1)).get("cards").get(0);
        JsonNode data = data(card.get("id").stringValue());
        // A balloon and a tennis ball, 3 x 2.5 m, nobody below.
        String code = new ReturnCode(data.get("card").intValue(), HomeTold.PRACTICE, List.of(0b1001, 6, 5, 0, 0), null)
                .code(HexFormat.of().parseHex(data.get("key").stringValue()), HomeTold.MOST);
        JsonNode taken = api.post("/api/classes/" + classId + "/home/came", "{\"text\":\"" + code + "\"}")
                .body()
                .get("taken")
                .get(0);
        assertThat(taken.get("home").get("kit").propertyNames()).containsExactlyInAnyOrder("balloon", "tennis-ball");
        int rounds = rounds(card.get("pupilId").stringValue());
        api.post(
                "/api/classes/" + classId + "/home/kept",
                "{\"ids\":[\"" + taken.get("id").stringValue() + "\"]}");
        JsonNode details =
                api.get("/api/classes/" + classId).body().get("pupils").get(0).get("details");
        assertThat(details.get("homeKit").get("balloon").intValue()).isEqualTo(1);
        assertThat(details.get("homeSpace").get("widthM").doubleValue()).isEqualTo(2.5);
        assertThat(details.get("homeQuiet").booleanValue()).isFalse();
        assertThat(rounds(card.get("pupilId").stringValue())).isEqualTo(rounds);
    }

    @Test
    void a_sheet_asks_of_a_home_that_told_nothing_and_what_was_ticked_is_typed_in() {
        int unknown = 0;
        for (JsonNode p : api.get("/api/classes/" + classId).body().get("pupils")) {
            if (p.get("details").get("homeKit").isEmpty()
                    && p.get("details").get("homeSpace").isNull()) break;
            unknown++;
        }
        String one = ",\"pupilIds\":[" + pupils(unknown + 1).get(unknown) + "]";
        JsonNode card = made(one).get("cards").get(0);
        String cardId = card.get("id").stringValue();
        assertThat(api.get("/api/home/cards/" + cardId + "/page?look=true").text())
                .containsOnlyOnce("Your home, if you like to tell us");
        String slip = "{\"slips\":[{\"cardId\":\"" + cardId + "\",\"practice\":" + HomeTold.PRACTICE
                + ",\"numbers\":[1,WIDE,5,null,1],\"felt\":null}]}";
        assertThat(api.post("/api/classes/" + classId + "/home/slips", slip.replace("WIDE", "17"))
                        .status())
                .isEqualTo(400);
        JsonNode taken = api.post("/api/classes/" + classId + "/home/slips", slip.replace("WIDE", "6"))
                .body()
                .get("taken")
                .get(0);
        assertThat(taken.get("home").get("quiet").isNull()).isTrue();
        api.post(
                "/api/classes/" + classId + "/home/kept",
                "{\"ids\":[\"" + taken.get("id").stringValue() + "\"]}");
        JsonNode details = api.get("/api/classes/" + classId)
                .body()
                .get("pupils")
                .get(unknown)
                .get("details");
        assertThat(details.get("homeSpace").get("lengthM").doubleValue()).isEqualTo(3);
        assertThat(details.get("homeKit").propertyNames()).containsExactly(HomeTold.KINDS.get(0));

        JsonNode next = made(one).get("cards").get(0);
        assertThat(api.get("/api/home/cards/" + next.get("id").stringValue() + "/page?look=true")
                        .text())
                .doesNotContain("Your home, if you like to tell us");
    }

    @Test
    void a_link_leads_a_family_to_its_card_alone_until_it_is_withdrawn() {
        JsonNode week = made(",\"pupilIds\":" + pupils(2));
        JsonNode links = api.post("/api/home/weeks/" + week.get("id").stringValue() + "/links", "{}")
                .body();
        String address = links.get(0).get("address").stringValue();
        assertThat(address).startsWith("https://wharf.example/h/");
        String path = address.substring("https://wharf.example".length());
        String name = week.get("cards").get(0).get("pupil").stringValue();
        Api family = api.another();
        Api.Answer page = family.get(path);
        assertThat(page.status()).isEqualTo(200);
        // The first name and nothing more of it.
        assertThat(page.text())
                .contains(name.substring(0, name.indexOf(' ')) + ": practice at home")
                .doesNotContain(name, "Turnstone");
        assertThat(family.get(path + "x").status()).isEqualTo(404);

        api.post("/api/home/cards/" + week.get("cards").get(0).get("id").stringValue() + "/withdrawn", "");
        assertThat(family.get(path).status()).isEqualTo(404);
    }

    @Test
    void a_link_ends_fourteen_days_after_the_last_practice() {
        LocalDate today = LocalDate.now();
        JsonNode practices =
                made(today, ",\"pupilIds\":" + pupils(1)).get("cards").get(0).get("each");
        LocalDate last = LocalDate.parse(practices.get(1).get("on").stringValue());
        long days = 14 + ChronoUnit.DAYS.between(today, last);
        Api family = api.another();
        assertThat(family.get(path(linkOf(today.minusDays(days)))).status()).isEqualTo(200);
        assertThat(family.get(path(linkOf(today.minusDays(days + 1)))).status()).isEqualTo(404);
    }

    private JsonNode linkOf(LocalDate firstDay) {
        JsonNode week = made(firstDay, ",\"pupilIds\":" + pupils(1));
        return api.post("/api/home/weeks/" + week.get("id").stringValue() + "/links", "{}")
                .body()
                .get(0);
    }

    private static String path(JsonNode link) {
        return link.get("address").stringValue().substring("https://wharf.example".length());
    }

    @Test
    void paper_has_one_side_for_each_practice_and_a_page_asks_nobody_for_anything() throws Exception {
        JsonNode week = made("");
        assertThat(week.get("cards")).hasSize(25);
        int sides = 0;
        for (JsonNode card : week.get("cards")) sides += card.get("practices").intValue();
        for (String paper : List.of("A4", "LETTER")) {
            byte[] pdf = api.bytes("/api/home/weeks/" + week.get("id").stringValue() + "/cards.pdf?paper=" + paper);
            try (PDDocument doc = Loader.loadPDF(pdf)) {
                // Whoever sees little has larger print and may need a second side.
                assertThat(doc.getNumberOfPages()).isBetween(sides, sides + 2);
                assertThat(new PDFTextStripper().getText(doc)).contains("Practice 1 of 2", "Send it back", "step 1 of");
            }
        }
        String page = api.get(
                        "/api/home/cards/" + week.get("cards").get(0).get("id").stringValue() + "/page")
                .text();
        assertThat(page.length()).isLessThan(400_000);
        assertThat(page).doesNotContain("src=\"http", "href=\"http", "url(http");
        String read = page.substring(page.indexOf("<main"), page.indexOf("</main>"));
        // A family reads of steps.
        assertThat(read).doesNotContainIgnoringCase("rung", "ladder", "gate", "pupil");
        assertThat(api.get("/api/home/cards/"
                                + week.get("cards").get(0).get("id").stringValue() + "/week.ics")
                        .text())
                .contains("BEGIN:VEVENT", "practice 2 of 2");
    }
}
