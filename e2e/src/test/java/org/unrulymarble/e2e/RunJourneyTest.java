package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import tools.jackson.databind.JsonNode;

/** The half hour that matters: two faces, no network, no server, and no tap lost. */
@ExtendWith(OneBrowser.class)
class RunJourneyTest {

    private final Browser browser = OneBrowser.browser();
    private final Lessons lessons = new Lessons(browser);
    private final RunPage run = new RunPage(browser, lessons);

    @BeforeEach
    void asTeacher() {
        browser.offline(false);
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    @Test
    void taps_without_a_network_wait_on_the_device_and_arrive_once() {
        String lessonId = lessons.newLesson("No network");
        browser.open("/plan/" + lessonId);
        browser.press("Run it");
        browser.press("Go");
        run.toWork(1);
        browser.press("2 Cosmo V.");
        browser.await("for what was done so far to be sent", d -> run.unsent().equals("All saved"));

        browser.offline(true);
        browser.keys("q", "q");
        browser.await("for two taps to wait", d -> run.unsent().startsWith("2 kept here"));
        assertThat(run.hits()).isEqualTo("2");
        browser.offline(false);
        browser.await("for the taps to be sent", d -> run.unsent().equals("All saved"));

        String runId = run.id();
        JsonNode seen = lessons.get("/api/runs/" + runId);
        assertThat(seen.get("state").get("results")).hasSize(1);
        assertThat(seen.get("state").get("results").get(0).get("hits").intValue())
                .isEqualTo(2);
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    @Test
    void a_run_is_reloaded_and_goes_on_while_the_server_is_gone_and_all_arrives_when_it_is_back() {
        run.beginAnyhow(longRounds("No server"));
        run.toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q");
        browser.await("for the first tap to be sent", d -> run.unsent().equals("All saved"));
        browser.await(
                "for the page to be kept on the device",
                d -> Boolean.TRUE.equals(
                        browser.script(
                                "return !!navigator.serviceWorker.controller && performance.getEntriesByType('resource').length > 0")));

        OneBrowser.server().kill();
        browser.driver().navigate().refresh();
        browser.await("for the pad again", d -> run.hits().equals("1"));
        browser.keys("q", "q");
        browser.await("for two taps to wait", d -> run.unsent().startsWith("2 kept here"));
        browser.keys(Keys.ARROW_RIGHT);
        browser.labelled("Cosmo V.").sendKeys("12", Keys.ENTER);
        browser.await("for all to wait", d -> run.unsent().startsWith("4 kept here"));

        OneBrowser.server().start();
        browser.await("for all to be sent by itself", d -> run.unsent().equals("All saved"));
        String runId = run.id();
        assertThat(lessons.get("/api/runs/" + runId)
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
        browser.open("/plan/" + lessons.newLesson("Two faces"));
        browser.press("Run it");
        browser.press("Wall, more");
        String path = "/wall/" + browser.see("[data-testid=wall-code]").getText();
        browser.keys(Keys.ESCAPE);
        browser.press("Go");
        run.toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q", "q");
        browser.await("for two hits", d -> run.hits().equals("2"));

        String hand = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(org.openqa.selenium.WindowType.TAB);
        String wall = browser.driver().getWindowHandle();
        browser.open(path);
        browser.see("[data-testid=wall-clock]");
        assertThat(browser.see("body").getText()).contains("Amaru").doesNotContain("Amaru T.");
        assertThat(browser.see("[data-testid=wall-clock]").getDomAttribute("aria-label"))
                .startsWith("Work");
        // A low projector: the clock gives way, so that the lane is in sight and the names stay as large as they are.
        browser.size(1280, 720);
        browser.await("for all to be in sight", d -> (Boolean)
                browser.script("return innerHeight == 720 && document.documentElement.scrollHeight <= innerHeight"));
        assertThat((Boolean) browser.script(
                        "return parseFloat(getComputedStyle(document.querySelector('main li, li')).fontSize) >= 37"))
                .isTrue();
        browser.size(1280, 800);

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
        String runId = run.id();
        JsonNode mine = lessons.get("/api/runs/" + runId)
                .get("log")
                .valueStream()
                .filter(e -> e.get("what").get("type").stringValue().equals("TAPPED"))
                .findFirst()
                .orElseThrow();
        String other = mine.toString()
                .replaceFirst("\"id\":\"[^\"]+\"", "\"id\":\"" + java.util.UUID.randomUUID() + "\"")
                .replaceFirst("\"device\":\"[^\"]+\"", "\"device\":\"helper\"");
        assertThat(browser.request(
                                "POST", "/api/runs/events", "{\"runId\":\"" + runId + "\",\"events\":[" + other + "]}")
                        .get("status"))
                .isEqualTo(200L);
        browser.seeText("was counted on two devices");
        browser.press("1 catches (the other)");
        browser.await("for the question to be settled", d -> !browser.shows("[aria-label='Counted twice']"));
        browser.await("for all to be sent", d -> run.unsent().equals("All saved"));
        assertThat(lessons.get("/api/runs/" + runId)
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
        browser.seeText("No wall face is open under the code");
    }

    @Test
    void again_counts_the_round_anew_and_the_broken_off_one_counts_for_nothing() {
        browser.open("/plan/" + lessons.newLesson("Again"));
        browser.press("Run it");
        browser.press("Go");
        run.toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q", "q");
        browser.await("for two hits", d -> run.hits().equals("2"));
        browser.keys(Keys.ARROW_LEFT);
        browser.seeText("Count-in");
        browser.keys(Keys.ARROW_RIGHT);
        browser.await("for an empty pad", d -> run.hits().equals("0"));
        browser.keys("q");
        browser.press("Finish");
        browser.press("Finish and record");
        assertThat(browser.see("[data-testid=recorded]").getText())
                .contains("1 result of 1 pupil")
                // Nobody counted misses: there is no word of them.
                .doesNotContain("missed");
    }

    @Test
    void by_count_with_a_quiet_task_the_pad_shows_how_many_are_left_and_the_sheet_takes_the_rest() {
        browser.open("/plan/" + lessons.newLesson("By count"));
        browser.press("Wall and back");
        browser.choose("Quiet task for those who wait", "Table-top taps: Hand to hand");
        browser.choose("School of dose", "by count");
        browser.type(browser.labelled("Count"), "3");
        browser.await("for it to be saved", d -> saved());
        browser.press("Run it");
        browser.press("Go");
        run.toWork(1);
        browser.seeText("3 catches. Done early:");
        browser.seeText("Quiet task, 16 pupils");
        browser.press("1 Amaru T.");
        browser.keys("q", "q");
        browser.await("for two of three", d -> run.hits().equals("2 of 3"));
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
    void a_helper_may_run_and_tally_but_not_change_the_plan() {
        String lessonId = lessons.newLesson("With a helper");
        JsonNode lesson = lessons.get("/api/lessons/" + lessonId);
        browser.signIn("helper");
        browser.open("/plan/" + lessonId);
        browser.seeText("Wall and back");
        assertThat(browser.shows("[aria-keyshortcuts=n]")).isFalse();
        assertThat(lessons.put(lessonId, lesson.toString()).get("status")).isEqualTo(403L);
        browser.press("Run it");
        browser.press("Go");
        run.toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q");
        browser.await("for one hit", d -> run.hits().equals("1") && run.unsent().equals("All saved"));
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    /** The whole of it: two faces, the network cut in mid-round, the server killed, and every tap once on the pupils' pages. */
    @Test
    void a_lesson_on_two_faces_survives_a_cut_network_and_a_killed_server() {
        run.beginAnyhow(longRounds("Everything goes wrong"));
        browser.press("Wall, more");
        String path = "/wall/" + browser.see("[data-testid=wall-code]").getText();
        browser.keys(Keys.ESCAPE);
        run.toWork(1);
        browser.press("1 Amaru T.");
        browser.press("2 Cosmo V.");
        browser.keys("q", "q");
        run.awaitSent();
        String hand = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(org.openqa.selenium.WindowType.TAB);
        String wall = browser.driver().getWindowHandle();
        browser.open(path);
        browser.see("[data-testid=wall-clock]");
        browser.driver().switchTo().window(hand);

        browser.offline(true);
        browser.keys("q", "w", "q");
        browser.shifted("q");
        OneBrowser.server().kill();
        browser.keys("w", "q");
        browser.await("for six taps to wait", d -> run.unsent().startsWith("6 kept here"));
        OneBrowser.server().start();
        browser.offline(false);
        run.awaitSent();

        // Both faces are together again, by themselves.
        browser.press("Stop all");
        browser.driver().switchTo().window(wall);
        browser.see("[data-testid=stop-all]");
        browser.driver().close();
        browser.driver().switchTo().window(hand);
        browser.press("Go on");
        browser.keys(Keys.ARROW_RIGHT);
        browser.await("for the sheet", d -> browser.shows("form[aria-label='Collect the numbers']"));
        browser.keys("14", Keys.ENTER, "9", Keys.ENTER);
        run.awaitSent();
        assertThat(run.run().get("log").valueStream().filter(e -> e.toString().contains("\"HIT\"")))
                .hasSize(7);
        run.finish();

        browser.press("Amaru T.");
        assertThat(browser.see("[data-testid=attempts] tbody tr").getText())
                .containsSubsequence("Wall and back", "5", "1", "adult");
        browser.open("/pupils");
        browser.seeText("Cosmo V.");
    }

    /** A killed server takes its time to come back; the round is to be on all the while. */
    private String longRounds(String name) {
        return lessons.ofRungs(name, java.util.List.of(new Lessons.Rung("wall-and-back", "two-hands-bounce")));
    }

    private boolean saved() {
        return browser.see("[data-testid=save-state]").getText().equals("Saved");
    }

    private static int seconds(String clock) {
        String[] parts = clock.split(":");
        return 60 * Integer.parseInt(parts[0]) + Integer.parseInt(parts[1]);
    }
}
