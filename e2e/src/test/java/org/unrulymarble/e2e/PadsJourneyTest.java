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

/** What is counted and said in a run: every pad, trials, own words, other rungs, numbers that come late. */
@ExtendWith(OneBrowser.class)
class PadsJourneyTest {

    private final Browser browser = OneBrowser.browser();
    private final Lessons lessons = new Lessons(browser);
    private final RunPage run = new RunPage(browser, lessons);

    @BeforeEach
    void asTeacher() {
        browser.offline(false);
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    /** A pad of its own for every measure; what it shows is what the core records. */
    @Test
    void each_measure_has_its_pad_and_comes_to_its_result() {
        List<Lessons.Rung> rungs = List.of(
                new Lessons.Rung("bowl-at-rings", "with-points"),
                new Lessons.Rung("there-and-back-race", "feet-still-twenty"),
                new Lessons.Rung("number-keep", "what-is-left"),
                new Lessons.Rung("nearest-the-jack", "to-seven"),
                new Lessons.Rung("wall-serve-stepping-back", "two-and-a-step", """
                        {"type":"STAIRCASE","makesToStep":2,"onMiss":"STEP_IN","stepM":0.5,"limitSec":300}"""),
                new Lessons.Rung("claps-and-turns", "record-of-claps"),
                new Lessons.Rung("weave-and-back", "on-the-clock"),
                new Lessons.Rung("close-shot", "spots-in-a-minute"),
                new Lessons.Rung("bowl-at-rings", "past-a-batter"),
                new Lessons.Rung("wind-down", "standing-holds"),
                new Lessons.Rung("called-markers", "forwards"));
        run.beginAnyhow(lessons.ofRungs("Every measure", rungs));
        Map<String, Runnable> pads = Map.ofEntries(
                Map.entry("with-points", () -> {
                    new Actions(browser.driver())
                            .moveToElement(browser.see("[data-testid=target]"))
                            .click()
                            .moveByOffset(4, 4)
                            .click()
                            .perform();
                    tap("ring worth 3");
                    tap("outside");
                    browser.await("for the points", d -> shown("points").startsWith("13"));
                }),
                Map.entry("feet-still-twenty", () -> {
                    browser.keys("q", "q", "q");
                    browser.seeText("2 of 20");
                    tap("all 20 done, stop");
                }),
                Map.entry("what-is-left", () -> {
                    browser.keys("q", "q", "q");
                    browser.shifted("q");
                    browser.keys("q", "q", "q");
                    browser.seeText("All kept");
                }),
                Map.entry("to-seven", () -> {
                    browser.press("Beatrix O.");
                    browser.seeText("Beatrix O. plays first, with the jack");
                    browser.choose("The next ball", "foot over");
                    layOnGround(4);
                    // A dead ball lies for nobody.
                    browser.seeText("Amaru T. plays, ball 1");
                    layOnGround(30);
                    browser.seeText("The other side is nearest.");
                    browser.press("As it lies: Amaru T. 1");
                    browser.await("for the first end", d -> shown("side-A").endsWith("1"));
                    tap("Beatrix O. won the end by 3");
                    tap("Beatrix O. won the end by 3");
                    browser.press("level: nobody");
                    browser.seeText("Ends: 1–0, 0–3, 0–3, 0–0");
                    tap("Beatrix O. won the end by 1");
                    browser.seeText("Beatrix O. has won.");
                }),
                Map.entry("two-and-a-step", () -> {
                    browser.keys("q", "q", "q", "q");
                    browser.await("for the third place", d -> shown("place").equals("3"));
                }),
                Map.entry("record-of-claps", () -> {
                    tap("made 4 claps");
                    tap("made 2 claps");
                    browser.await("for the record", d -> shown("level").startsWith("4"));
                }),
                Map.entry("on-the-clock", () -> browser.keys("q", "q")),
                Map.entry("spots-in-a-minute", () -> {
                    browser.keys("q", "q");
                    browser.shifted("q");
                    browser.keys("q");
                }),
                Map.entry("past-a-batter", () -> {
                    browser.keys("q");
                    tap("no-ball, high");
                    browser.seeText("bowl the safe one");
                    tap("no-ball, body");
                }),
                Map.entry("standing-holds", () -> browser.keys("q", "q")),
                Map.entry("forwards", () -> {
                    browser.see("[data-testid=called]");
                    browser.keys("q");
                }));
        JsonNode script = run.run().get("sheet").get("script");
        for (int block = 0; block < rungs.size(); block++) {
            int number = block;
            run.jumpTo(script.get("segments")
                    .valueStream()
                    .filter(s -> s.get("block").intValue() == number
                            && s.get("kind").stringValue().equals("WORK"))
                    .findFirst()
                    .orElseThrow()
                    .get("index")
                    .intValue());
            browser.await("for block " + block, d -> {
                if (browser.shows("button[data-after]")) browser.press("Done");
                return browser.shows("section[aria-label=Pads][data-block='" + number + "']");
            });
            if (!browser.shows("section[aria-label=Pads] button[aria-pressed=true]")) browser.press("1 Amaru T.");
            pads.get(rungs.get(block).rung()).run();
        }
        run.awaitSent();

        JsonNode state = run.run().get("state");
        Map<String, JsonNode> results = new java.util.HashMap<>();
        String amaru = run.run()
                .get("sheet")
                .get("pupils")
                .valueStream()
                .filter(p -> p.get("name").stringValue().equals("Amaru T."))
                .findFirst()
                .orElseThrow()
                .get("pupilId")
                .stringValue();
        state.get("results").forEach(r -> {
            if (r.get("pupilId").stringValue().equals(amaru))
                results.put(r.get("rungId").stringValue(), r);
        });
        assertThat(results.keySet()).containsAll(pads.keySet());
        assertThat(results.entrySet().stream()
                        .filter(e -> !List.of("feet-still-twenty", "on-the-clock", "standing-holds")
                                .contains(e.getKey()))
                        .collect(java.util.stream.Collectors.toMap(
                                Map.Entry::getKey,
                                e -> e.getValue().get("score").intValue())))
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        "with-points", 13,
                        "what-is-left", 7,
                        "to-seven", 1,
                        "two-and-a-step", 2,
                        "record-of-claps", 4,
                        "spots-in-a-minute", 3,
                        "past-a-batter", 1,
                        "forwards", 1));
        assertThat(results.get("feet-still-twenty").get("detail").get("splitsMs"))
                .hasSize(2);
        assertThat(results.get("on-the-clock").get("detail").get("timeMs").intValue())
                .isPositive();
        assertThat(results.get("past-a-batter").get("detail").get("halfScores").intValue())
                .isEqualTo(1);
        run.finish();

        // Where the throws landed is on the pupil's page, once its ladder comes into sight.
        browser.open("/pupils/" + amaru);
        browser.see("[data-testid=attempts]");
        browser.script("[...document.querySelectorAll('h2')].find(h => h.textContent.includes('%s')).scrollIntoView()"
                .formatted(lessons.get("/api/ladders")
                        .valueStream()
                        .filter(l -> l.get("id").stringValue().equals("bowl-at-rings"))
                        .findFirst()
                        .orElseThrow()
                        .get("name")
                        .stringValue()));
        browser.seeText("2 throws: scatter");
    }

    private void tap(String label) {
        browser.await("to tap " + label, d -> {
            List<WebElement> found =
                    d.findElements(By.cssSelector("section[aria-label=Pads] button[aria-label$='" + label + "']"));
            if (found.isEmpty() || !found.get(0).isEnabled()) return null;
            found.get(0).click();
            return true;
        });
    }

    private String shown(String testId) {
        return browser.see("[data-testid=" + testId + "]").getText();
    }

    /** What forgot its number, what was a trial, and what the pupils said. */
    @Test
    void a_course_is_drawn_on_the_plan_and_stands_under_the_watch() {
        String lesson = lessons.ofRungs("Drawn", List.of(new Lessons.Rung("weave-and-back", "on-the-clock")));
        browser.open("/plan/" + lesson);
        browser.press("Dribble weave through markers");
        browser.await("for the scoring", d -> {
            d.findElements(By.cssSelector("summary")).stream()
                    .filter(e -> e.getText().startsWith("Scoring"))
                    .forEach(WebElement::click);
            return !d.findElements(By.cssSelector("details[open] button")).isEmpty();
        });
        browser.press("slalom");
        browser.seeText("13.9 m long");
        browser.see("[aria-label^='Marker 6']").sendKeys(Keys.ARROW_RIGHT);
        browser.seeText("14.1 m long");

        run.beginAnyhow(lesson);
        browser.see("section[aria-label=Pads]");
        if (!browser.shows("section[aria-label=Pads] button[aria-pressed=true]")) browser.press("1 Amaru T.");
        browser.see("[aria-label='Course of 6 markers, and the same way back']");
        browser.keys("q", "q");
        browser.seeText("quickest");
    }

    @Test
    void trials_own_words_other_rungs_and_numbers_typed_in_afterwards_are_kept_as_such() {
        run.begin(lessons.newLesson("Words"));
        run.toWork(1);
        browser.press("Rungs");
        browser.press("Amaru T.: rung 3, Same hand");
        browser.keys(Keys.ESCAPE);
        browser.press("End the turn");
        browser.labelled("Amaru T.").sendKeys("12", Keys.ENTER);
        browser.press("Amaru T.: too hard");
        browser.press("It was a trial");
        run.awaitSent();
        run.finish();
        browser.choose("The turn to type in", "1 Wall and back: Two hands, one bounce, turn 1");
        browser.labelled("Cosmo V.").sendKeys("7", Keys.ENTER);
        browser.await(
                "for both results",
                d -> browser.see("[data-testid=recorded]").getText().contains("2 results of 2 pupils"));
        assertThat(browser.see("[data-testid=recorded]").getText())
                .containsPattern("12 \\(broken off after \\d s, trial, Same hand\\)")
                .containsPattern("7 \\(broken off after \\d s, trial, typed in\\)");

        browser.press("Amaru T.");
        assertThat(browser.see("[data-testid=attempts] tbody tr").getText()).contains("same hand", "trial");
        browser.seeText("“too hard”");
    }

    /** Where the next ball lies, so many pixels right of the jack. */
    private void layOnGround(int right) {
        new Actions(browser.driver())
                .moveToElement(browser.see("[data-testid=match-ground]"), right, 0)
                .click()
                .perform();
    }
}
