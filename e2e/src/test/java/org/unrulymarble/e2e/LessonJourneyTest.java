package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** From the plan to the pupil's page, as a teacher goes it. */
@ExtendWith(OneBrowser.class)
class LessonJourneyTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Browser browser = OneBrowser.browser();

    @BeforeEach
    void asTeacher() {
        browser.offline(false);
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    @Test
    void plan_run_tally_reload_finish_and_find_it_all_after_a_kill() {
        String lessonId = newLesson("Two turns at the wall");
        browser.open("/plan/" + lessonId);
        String before = total();

        // A dose is changed and the clock answers.
        browser.press("Wall and back");
        browser.type(browser.labelled("Work, s"), "35");
        browser.await("for another clock", d -> !total().equals(before));
        assertThat(total()).isEqualTo("6:40");
        browser.press("Undo");
        browser.await("for the first clock", d -> total().equals(before));
        browser.press("Redo");
        browser.await("for the second clock", d -> total().equals("6:40") && saved());

        // The first round, with a pad for one pupil.
        browser.press("Run it");
        browser.press("Go");
        toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q", "q", "q");
        browser.shifted("q");
        browser.keys("q");
        browser.await("for four hits", d -> hits().equals("4"));
        browser.keys(Keys.BACK_SPACE);
        browser.await("for the taking back", d -> hits().equals("3"));
        browser.keys(" ");
        browser.seeText("Held");
        String secondsLeft = browser.see("[role=timer]").getText();

        // Reload in mid-round: the same second, the same counts, nothing asked.
        browser.driver().navigate().refresh();
        browser.seeText("Held");
        assertThat(browser.see("[role=timer]").getText()).isEqualTo(secondsLeft);
        assertThat(hits()).isEqualTo("3");

        // The rest: all numbers in spot order, typed one after the other.
        browser.keys(" ");
        browser.keys(Keys.ARROW_RIGHT);
        WebElement first = browser.labelled("Amaru T.");
        assertThat(first.getDomProperty("value")).isEqualTo("3");
        browser.await("for the second spot's field", d -> "Cosmo V.".equals(focused()));
        for (int i = 0; i < 3; i++) browser.keys(Integer.toString(11 + i), Keys.ENTER);
        browser.await("for all to be sent", d -> unsent().equals("All saved"));

        browser.press("Finish");
        browser.press("Finish and record");
        assertThat(browser.see("[data-testid=recorded]").getText()).contains("4 results of 4 pupils");

        browser.press("Amaru T.");
        assertThat(firstAttempt()).containsSubsequence("Wall and back", "3", "1", "Sail loft", "adult");

        // Killed without farewell; what was acknowledged is there, and nobody signs in again.
        OneBrowser.server().kill().start();
        browser.driver().navigate().refresh();
        assertThat(firstAttempt()).containsSubsequence("Wall and back", "3", "1", "Sail loft", "adult");
        browser.open("/plan/" + lessonId);
        browser.await("for the changed clock", d -> total().equals("6:40"));
        browser.open("/pupils");
        browser.press("Wall and back");
        browser.seeText("Two hands, one bounce");
    }

    @Test
    void taps_without_a_network_wait_on_the_device_and_arrive_once() {
        String lessonId = newLesson("No network");
        browser.open("/plan/" + lessonId);
        browser.press("Run it");
        browser.press("Go");
        toWork(1);
        browser.press("2 Cosmo V.");
        browser.await("for what was done so far to be sent", d -> unsent().equals("All saved"));

        browser.offline(true);
        browser.keys("q", "q");
        browser.await("for two taps to wait", d -> unsent().startsWith("2 kept here"));
        assertThat(hits()).isEqualTo("2");
        browser.offline(false);
        browser.await("for the taps to be sent", d -> unsent().equals("All saved"));

        String runId = browser.driver().getCurrentUrl().replaceAll(".*/", "");
        JsonNode run = get("/api/runs/" + runId);
        assertThat(run.get("state").get("results")).hasSize(1);
        assertThat(run.get("state").get("results").get(0).get("hits").intValue())
                .isEqualTo(2);
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    @Test
    void a_run_is_reloaded_and_goes_on_while_the_server_is_gone_and_all_arrives_when_it_is_back() {
        browser.open("/plan/" + newLesson("No server"));
        browser.press("Run it");
        browser.press("Go");
        toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q");
        browser.await("for the first tap to be sent", d -> unsent().equals("All saved"));
        browser.await(
                "for the page to be kept on the device",
                d -> Boolean.TRUE.equals(
                        browser.script(
                                "return !!navigator.serviceWorker.controller && performance.getEntriesByType('resource').length > 0")));

        OneBrowser.server().kill();
        browser.driver().navigate().refresh();
        browser.await("for the pad again", d -> hits().equals("1"));
        browser.keys("q", "q");
        browser.await("for two taps to wait", d -> unsent().startsWith("2 kept here"));
        browser.keys(Keys.ARROW_RIGHT);
        browser.labelled("Cosmo V.").sendKeys("12", Keys.ENTER);
        browser.await("for all to wait", d -> unsent().startsWith("4 kept here"));

        OneBrowser.server().start();
        browser.await("for all to be sent by itself", d -> unsent().equals("All saved"));
        String runId = browser.driver().getCurrentUrl().replaceAll(".*/", "");
        assertThat(get("/api/runs/" + runId)
                        .get("state")
                        .get("results")
                        .valueStream()
                        .map(r -> r.get("score").intValue()))
                .containsExactlyInAnyOrder(3, 12);
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    @Test
    void the_wall_goes_with_the_hand_stops_with_it_and_shows_no_surname_and_no_score() {
        browser.open("/plan/" + newLesson("Two faces"));
        browser.press("Run it");
        browser.press("Wall, sound");
        String path = "/wall/" + browser.see("[data-testid=wall-code]").getText();
        browser.keys(Keys.ESCAPE);
        browser.press("Go");
        toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q", "q");
        browser.await("for two hits", d -> hits().equals("2"));

        String hand = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(org.openqa.selenium.WindowType.TAB);
        String wall = browser.driver().getWindowHandle();
        browser.open(path);
        browser.see("[data-testid=wall-clock]");
        assertThat(browser.see("body").getText()).contains("Amaru").doesNotContain("Amaru T.");
        assertThat(browser.see("[data-testid=wall-clock]").getDomAttribute("aria-label"))
                .startsWith("Work");

        browser.driver().switchTo().window(hand);
        browser.keys("s");
        browser.see("[data-testid=stop-all]");
        browser.driver().switchTo().window(wall);
        browser.see("[data-testid=stop-all]");
        browser.driver().switchTo().window(hand);
        browser.press("Go on");
        browser.driver().switchTo().window(wall);
        browser.await("for the stop to be over", d -> !browser.shows("[data-testid=stop-all]"));
        browser.driver().close();
        browser.driver().switchTo().window(hand);

        // Another device counts the same pupil: both counts are shown, and whose stands is asked.
        String runId = browser.driver().getCurrentUrl().replaceAll(".*/", "");
        JsonNode mine = get("/api/runs/" + runId)
                .get("log")
                .valueStream()
                .filter(e -> e.get("kind").stringValue().equals("HIT"))
                .findFirst()
                .orElseThrow();
        String other = mine.toString()
                .replaceFirst("\"id\":\"[^\"]+\"", "\"id\":\"" + java.util.UUID.randomUUID() + "\"")
                .replaceFirst("\"device\":\"[^\"]+\"", "\"device\":\"helper\"");
        assertThat(browser.request("POST", "/api/runs/" + runId + "/events", "{\"events\":[" + other + "]}")
                        .get("status"))
                .isEqualTo(200L);
        browser.seeText("was counted on two devices");
        browser.press("1 (the other)");
        browser.await("for the question to be settled", d -> !browser.shows("[aria-label='Counted twice']"));
        browser.await("for all to be sent", d -> unsent().equals("All saved"));
        assertThat(get("/api/runs/" + runId)
                        .get("state")
                        .get("results")
                        .get(0)
                        .get("hits")
                        .intValue())
                .isEqualTo(1);

        browser.press("Who is here");
        browser.press("Cosmo V.");
        browser.keys(Keys.ESCAPE);
        browser.seeText("1 away");
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
        browser.open(path);
        browser.seeText("No run goes on under the code");
    }

    @Test
    void again_counts_the_round_anew_and_the_broken_off_one_counts_for_nothing() {
        browser.open("/plan/" + newLesson("Again"));
        browser.press("Run it");
        browser.press("Go");
        toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q", "q");
        browser.await("for two hits", d -> hits().equals("2"));
        browser.keys(Keys.ARROW_LEFT);
        browser.seeText("Count-in");
        browser.keys(Keys.ARROW_RIGHT);
        browser.await("for an empty pad", d -> hits().equals("0"));
        browser.keys("q");
        browser.press("Finish");
        browser.press("Finish and record");
        assertThat(browser.see("[data-testid=recorded]").getText())
                .contains("1 result of 1 pupil")
                .contains("1 (0 missed)");
    }

    @Test
    void by_count_with_a_quiet_task_the_pad_shows_how_many_are_left_and_the_sheet_takes_the_rest() {
        browser.open("/plan/" + newLesson("By count"));
        browser.press("Wall and back");
        browser.choose("Quiet task for those who wait", "Table-top taps: Hand to hand");
        browser.choose("School of dose", "by count");
        browser.type(browser.labelled("Count"), "3");
        browser.await("for it to be saved", d -> saved());
        browser.press("Run it");
        browser.press("Go");
        toWork(1);
        browser.seeText("By count: 3 catches");
        browser.seeText("At the tables, 16 pupils");
        browser.press("1 Amaru T.");
        browser.keys("q", "q");
        browser.await("for two of three", d -> hits().equals("2 of 3"));
        browser.keys("q");
        browser.seeText("Done. Harder: Clap once before the catch.");

        String left = browser.see("[role=timer]").getText();
        browser.press("+ 15 s");
        browser.await(
                "for more time than before",
                d -> seconds(browser.see("[role=timer]").getText()) > seconds(left));
        browser.keys(Keys.ARROW_RIGHT);
        browser.press("All others did 3");
        browser.press("Done");
        browser.press("Finish");
        browser.press("Finish and record");
        assertThat(browser.see("[data-testid=recorded]").getText()).contains("4 results of 4 pupils");
    }

    @Test
    void a_block_is_dragged_to_another_place() {
        browser.open("/plan/" + newLesson("Drag"));
        browser.press("+ Add a block");
        browser.press("Add Cup and sock, rung 1");
        browser.await("for two blocks", d -> blocks().size() == 2 && saved());
        browser.press("Cup and sock");

        WebElement handle = browser.labelled("Move block 2, Cup and sock");
        new Actions(browser.driver())
                .clickAndHold(handle)
                .moveByOffset(0, -20)
                .moveByOffset(0, -70)
                .perform();
        browser.await("for the block to be over the first", d -> announced().contains("over place 1 of 2"));
        new Actions(browser.driver()).release().perform();

        browser.await("for the order to change", d -> blocks().get(0).contains("Cup and sock") && saved());
    }

    @Test
    void a_second_tabs_older_save_is_refused_and_nothing_is_lost() {
        String lessonId = newLesson("Two tabs");
        browser.open("/plan/" + lessonId);
        browser.see("[data-testid=save-state]");
        JsonNode other = get("/api/lessons/" + lessonId);
        Map<String, Object> answer =
                put(lessonId, other.toString().replace("\"name\":\"Two tabs\"", "\"name\":\"The other tab's\""));
        assertThat(answer.get("status")).isEqualTo(200L);

        browser.type(browser.labelled("Minutes"), "25");
        browser.seeText("Changed elsewhere");
        assertThat(get("/api/lessons/" + lessonId).get("name").stringValue()).isEqualTo("The other tab's");
        assertThat(browser.labelled("Minutes").getDomProperty("value")).isEqualTo("25");

        browser.press("Show the newer one");
        browser.await("for the other's name", d -> name().equals("The other tab's"));
        browser.press("Undo");
        browser.await(
                "for the own minutes",
                d -> saved()
                        && get("/api/lessons/" + lessonId)
                                        .get("lesson")
                                        .get("minutes")
                                        .intValue()
                                == 25);
    }

    @Test
    void bad_input_marks_its_field_and_saves_nothing() {
        String lessonId = newLesson("Bad input");
        browser.open("/plan/" + lessonId);
        browser.press("Wall and back");
        for (String bad : List.of("0", "1000", "-3", "many")) {
            browser.type(browser.labelled("Sets"), bad);
            WebElement field = browser.await("for the mark on sets " + bad, d -> {
                WebElement sets = browser.labelled("Sets");
                return "true".equals(sets.getDomAttribute("aria-invalid")) ? sets : null;
            });
            assertThat(field.getDomProperty("value")).isEqualTo(bad);
        }
        browser.seeText("Sets must be given");
        assertThat(get("/api/lessons/" + lessonId).get("version").longValue()).isZero();
        browser.type(browser.labelled("Sets"), "2");
        browser.await("for it to be saved", d -> saved());
        assertThat(get("/api/lessons/" + lessonId)
                        .get("lesson")
                        .get("blocks")
                        .get(0)
                        .get("sets")
                        .intValue())
                .isEqualTo(2);
    }

    @Test
    void blocks_are_added_given_a_quiet_task_moved_by_keyboard_and_removed() {
        browser.open("/plan/" + newLesson("Blocks"));
        browser.press("Wall and back");
        assertThat(browser.see("[data-testid=figures]").getText()).contains("waiting with nothing to do");
        browser.choose("Quiet task for those who wait", "Table-top taps: Hand to hand");
        browser.await(
                "for the quiet task",
                d -> browser.see("[data-testid=figures]").getText().contains("at a quiet task"));

        browser.press("+ Add a block");
        browser.type(browser.see("[type=search]"), "cup");
        browser.press("Add Cup and sock, rung 2");
        browser.await("for two blocks", d -> blocks().size() == 2 && saved());
        assertThat(blocks().get(1)).contains("Cup and sock");

        WebElement handle = browser.labelled("Move block 2, Cup and sock");
        handle.sendKeys(" ");
        browser.await("for the block to be taken up", d -> announced().contains("over place 2 of 2"));
        browser.keys(Keys.ARROW_UP);
        browser.await("for the block to be moved", d -> announced().contains("over place 1 of 2"));
        browser.keys(" ");
        browser.await("for the order to change", d -> blocks().get(0).contains("Cup and sock") && saved());
        browser.press("Cup and sock");
        browser.press("Remove");
        browser.await(
                "for one block", d -> blocks().size() == 1 && blocks().get(0).contains("Wall and back"));
        browser.press("Undo");
        browser.await("for two blocks again", d -> blocks().size() == 2);
    }

    @Test
    void a_helper_may_run_and_tally_but_not_change_the_plan() {
        String lessonId = newLesson("With a helper");
        JsonNode lesson = get("/api/lessons/" + lessonId);
        browser.signIn("helper");
        browser.open("/plan/" + lessonId);
        browser.seeText("Wall and back");
        assertThat(browser.shows("[aria-keyshortcuts=n]")).isFalse();
        assertThat(put(lessonId, lesson.toString()).get("status")).isEqualTo(403L);
        browser.press("Run it");
        browser.press("Go");
        toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q");
        browser.await("for one hit", d -> hits().equals("1") && unsent().equals("All saved"));
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    /** One block at the wall of the sail loft, eight in four pairs at a time, saved as it comes from the screen. */
    private String newLesson(String name) {
        String turnstone = id(get("/api/classes"), "Turnstone 6");
        String sailLoft = id(get("/api/spaces"), "Sail loft");
        String body = """
                {"version":null,"classId":"%s","spaceId":"%s","name":"%s","onDay":"2030-01-08","lesson":{"minutes":20,
                "audience":"CLASS","restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[{"id":"b1","ladderId":"wall-and-back",
                "rungId":"two-hands-bounce","modifiers":[],"dose":{"type":"CLOCK","workSec":30},"sets":1,"sides":"EACH","setupSec":30,
                "explainSec":30,"countInSec":5,"sideSwapSec":5,"turnSwapSec":20,"restSec":20,"waitIsRest":true,"counted":true,
                "meanwhile":null}]}}""".formatted(turnstone, sailLoft, name);
        Map<String, Object> made = browser.request("POST", "/api/lessons", body);
        assertThat(made.get("status")).as("%s", made.get("body")).isEqualTo(201L);
        return JSON.readTree((String) made.get("body")).get("id").stringValue();
    }

    private Map<String, Object> put(String lessonId, String lesson) {
        return browser.request("PUT", "/api/lessons/" + lessonId, lesson);
    }

    private JsonNode get(String path) {
        return JSON.readTree((String) browser.request("GET", path, null).get("body"));
    }

    private static String id(JsonNode list, String name) {
        for (JsonNode n : list)
            if (n.get("name").stringValue().equals(name)) return n.get("id").stringValue();
        throw new AssertionError("no " + name);
    }

    /** Skips to the work of a turn. */
    private void toWork(int turn) {
        browser.await("to come to work", d -> {
            String face = browser.see("header").getText();
            if (face.contains("Work") && face.contains("turn " + turn)) return true;
            browser.keys(Keys.ARROW_RIGHT);
            return null;
        });
    }

    /** What a screen reader is told of a move. */
    private String announced() {
        return browser.driver().findElements(By.cssSelector("[id^=DndLiveRegion]")).stream()
                .map(e -> e.getDomProperty("textContent"))
                .reduce("", String::concat);
    }

    private String total() {
        return browser.see("[data-testid=total]").getText();
    }

    private boolean saved() {
        return browser.see("[data-testid=save-state]").getText().equals("Saved");
    }

    private String hits() {
        return browser.see("[data-testid=hits]").getText();
    }

    private String unsent() {
        return browser.see("[data-testid=unsent]").getText();
    }

    private static int seconds(String clock) {
        String[] parts = clock.split(":");
        return 60 * Integer.parseInt(parts[0]) + Integer.parseInt(parts[1]);
    }

    private String name() {
        return browser.labelled("Name of the lesson").getDomProperty("value");
    }

    private String focused() {
        return browser.driver().switchTo().activeElement().getDomAttribute("aria-label");
    }

    private String firstAttempt() {
        return browser.see("[data-testid=attempts] tbody tr").getText();
    }

    private List<String> blocks() {
        return browser.see("ol[aria-label=Blocks]").findElements(By.xpath("./li")).stream()
                .map(WebElement::getText)
                .toList();
    }
}
