package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import tools.jackson.databind.JsonNode;

/** Numbers in the rest: asked by measure, kept at the seconds that were worked, on a laptop and on a phone. */
@ExtendWith(OneBrowser.class)
class CollectJourneyTest {

    private static final String SHEET = "form[aria-label='Collect the numbers']";

    private final Browser browser = OneBrowser.browser();
    private final Lessons lessons = new Lessons(browser);
    private final RunPage run = new RunPage(browser, lessons);

    @BeforeEach
    void asTeacher() {
        browser.offline(false);
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    @AfterEach
    void asWideAsBefore() {
        browser.size(1280, 800);
    }

    @Test
    void any_block_is_reached_at_once_asks_for_its_measure_and_keeps_what_was_worked() {
        run.beginAnyhow(lessons.ofRungs(
                "Straight there",
                List.of(
                        new Lessons.Rung("wall-and-back", "two-hands-bounce"),
                        new Lessons.Rung("cup-and-sock", "cup-alone"),
                        new Lessons.Rung("low-and-loud-dribble", "eyes-up"),
                        new Lessons.Rung("weave-and-back", "on-the-clock"))));
        goTo("2 Cup and sock: Cup alone");
        browser.seeText("Cup alone");
        browser.press("End the turn");
        assertThat(browser.see(SHEET + " h2").getText()).startsWith("The longest row: how many");
        browser.labelled("Amaru T., right hand").sendKeys("9999", Keys.ENTER);
        browser.seeText("Really 9999?");
        browser.type(browser.labelled("Amaru T., right hand"), "4");
        browser.keys(Keys.ENTER);
        run.awaitSent();
        browser.seeText("Broken off after");

        goTo("4 Dribble weave through markers");
        browser.press("End the turn");
        assertThat(browser.see(SHEET + " h2").getText()).startsWith("How long did the course take");
        browser.labelled("Amaru T.").sendKeys("0:18", Keys.ENTER);
        run.awaitSent();
        // The third block was skipped: nobody misses its numbers. Whether the first was worked for a second is the
        // machine's affair.
        assertThat(browser.see(SHEET).getText()).doesNotContain("3 Low and loud");
        run.finish();

        assertThat(browser.see("[data-testid=recorded]").getText()).contains("broken off after", "18.0 s");
        JsonNode results = run.run().get("state").get("results");
        assertThat(results.get(0).get("time").get("askedSec").intValue()).isEqualTo(300);
        assertThat(results.get(0).get("time").get("workedSec").intValue()).isLessThan(60);
        assertThat(results.get(1).get("detail").get("timeMs").intValue()).isEqualTo(18_000);
    }

    @Test
    void the_sheet_stays_while_somebody_types_though_work_begins_and_another_turn_ends() {
        run.begin(lessons.newLesson("Slow typing"));
        run.toWork(1);
        browser.press("End the turn");
        browser.labelled("Amaru T.").sendKeys("7");
        List<Integer> rounds = run.run()
                .get("sheet")
                .get("script")
                .get("segments")
                .valueStream()
                .filter(s -> s.get("kind").stringValue().equals("WORK"))
                .map(s -> s.get("index").intValue())
                .toList();
        run.jumpTo(rounds.get(1));
        browser.seeText("turn 2 of");
        run.jumpTo(rounds.get(1) + 1);
        browser.seeText("Change");

        browser.keys(Keys.ENTER);
        assertThat(browser.driver().switchTo().activeElement().getAccessibleName())
                .isEqualTo("Cosmo V.");
        assertThat(browser.see(SHEET).getText()).contains("turn 1");
        // After the last number there are still the words.
        browser.keys(Keys.ESCAPE);
        run.finish();
        assertThat(browser.see("[data-testid=recorded]").getText()).contains("1 result of 1 pupil");
    }

    @Test
    void on_a_phone_hold_and_stop_are_at_the_thumb_and_every_name_stands_beside_its_number() {
        browser.size(390, 844);
        run.begin(lessons.newLesson("On a phone"));
        run.toWork(1);
        inReach("Hold");
        inReach("Stop all");
        largeEnough("main, [data-testid=run]");
        browser.press("End the turn");
        browser.see(SHEET);
        inReach("Hold");
        inReach("Stop all");
        largeEnough(SHEET);
        Object covered = browser.script("""
                return [...document.querySelectorAll("%s ol li")].filter(li => {
                  const name = li.querySelector('.font-semibold').getBoundingClientRect();
                  const input = li.querySelector('input').getBoundingClientRect();
                  const apart = name.right <= input.left || name.bottom <= input.top;
                  return !(name.width > 40 && apart && input.right <= innerWidth);
                }).length""".formatted(SHEET));
        assertThat(covered).isEqualTo(0L);
        browser.keys(Keys.ESCAPE);
        run.finish();
    }

    private void goTo(String block) {
        browser.press("Go to");
        browser.press(block);
    }

    private void inReach(String button) {
        Object inside = browser.script("""
                const b = [...document.querySelectorAll('button')].find(b => b.textContent.trim().startsWith('%s')).getBoundingClientRect();
                return b.top >= 0 && b.bottom <= innerHeight && b.left >= 0 && b.right <= innerWidth""".formatted(button));
        assertThat(inside).as("%s without scrolling", button).isEqualTo(true);
    }

    /** 44 px, as a finger needs it. */
    private void largeEnough(String within) {
        Object small = browser.script("""
                return [...document.querySelectorAll("%s")].flatMap(p => [...p.querySelectorAll('button, input:not([type=checkbox])')])
                  .filter(e => e.getClientRects().length && e.getBoundingClientRect().height < 43.5)
                  .map(e => e.getAttribute('aria-label') || e.textContent)""".formatted(within));
        assertThat((List<?>) small).isEmpty();
    }
}
