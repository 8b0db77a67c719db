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

/** From the plan to the pupil's page, as a teacher goes it. */
@ExtendWith(OneBrowser.class)
class LessonJourneyTest {

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
    void plan_run_tally_reload_finish_and_find_it_all_after_a_kill() {
        String lessonId = lessons.newLesson("Two turns at the wall");
        browser.open("/plan/" + lessonId);
        String before = total();

        // A dose is changed and the clock answers.
        browser.press("Wall and back");
        browser.type(browser.labelled("Work, s"), "35");
        // Each key is answered; the first says 3 s.
        browser.await("for the clock of 35 s", d -> total().equals("6:40"));
        browser.press("Undo");
        browser.await("for the first clock", d -> total().equals(before));
        browser.press("Redo");
        browser.await("for the second clock", d -> total().equals("6:40") && saved());

        // The first round, with a pad for one pupil.
        browser.press("Run it");
        browser.press("Go");
        run.toWork(1);
        browser.press("1 Amaru T.");
        browser.keys("q", "q", "q");
        browser.shifted("q");
        browser.keys("q");
        browser.await("for four hits", d -> run.hits().equals("4"));
        browser.keys(Keys.BACK_SPACE);
        browser.await("for the taking back", d -> run.hits().equals("3"));
        browser.keys(" ");
        browser.seeText("Held");
        String secondsLeft = browser.see("[role=timer]").getText();

        // Reload in mid-round: the same second, the same counts, nothing asked.
        browser.driver().navigate().refresh();
        browser.seeText("Held");
        assertThat(browser.see("[role=timer]").getText()).isEqualTo(secondsLeft);
        assertThat(run.hits()).isEqualTo("3");

        // The rest: all numbers in spot order, typed one after the other.
        browser.keys(" ");
        browser.keys(Keys.ARROW_RIGHT);
        WebElement first = browser.labelled("Amaru T.");
        assertThat(first.getDomProperty("value")).isEqualTo("3");
        browser.await("for the second spot's field", d -> "Cosmo V.".equals(focused()));
        for (int i = 0; i < 3; i++) browser.keys(Integer.toString(11 + i), Keys.ENTER);
        browser.await("for all to be sent", d -> run.unsent().equals("All saved"));

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
    void a_block_is_dragged_to_another_place() {
        browser.open("/plan/" + lessons.newLesson("Drag"));
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
        String lessonId = lessons.newLesson("Two tabs");
        browser.open("/plan/" + lessonId);
        browser.see("[data-testid=save-state]");
        JsonNode other = lessons.get("/api/lessons/" + lessonId);
        Map<String, Object> answer = lessons.put(
                lessonId, other.toString().replace("\"name\":\"Two tabs\"", "\"name\":\"The other tab's\""));
        assertThat(answer.get("status")).isEqualTo(200L);

        browser.type(browser.labelled("Minutes"), "25");
        browser.seeText("Changed elsewhere");
        assertThat(lessons.get("/api/lessons/" + lessonId).get("name").stringValue())
                .isEqualTo("The other tab's");
        assertThat(browser.labelled("Minutes").getDomProperty("value")).isEqualTo("25");

        browser.press("Show the newer one");
        browser.await("for the other's name", d -> name().equals("The other tab's"));
        browser.press("Undo");
        browser.await(
                "for the own minutes",
                d -> saved()
                        && lessons.get("/api/lessons/" + lessonId)
                                        .get("lesson")
                                        .get("minutes")
                                        .intValue()
                                == 25);
    }

    @Test
    void bad_input_marks_its_field_and_saves_nothing() {
        String lessonId = lessons.newLesson("Bad input");
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
        assertThat(lessons.get("/api/lessons/" + lessonId).get("version").longValue())
                .isZero();
        browser.type(browser.labelled("Sets"), "2");
        browser.await("for it to be saved", d -> saved());
        assertThat(lessons.get("/api/lessons/" + lessonId)
                        .get("lesson")
                        .get("blocks")
                        .get(0)
                        .get("sets")
                        .intValue())
                .isEqualTo(2);
    }

    @Test
    void blocks_are_added_given_a_quiet_task_moved_by_keyboard_and_removed() {
        browser.open("/plan/" + lessons.newLesson("Blocks"));
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
        browser.keys("]", "]");
        new Actions(browser.driver())
                .keyDown(Keys.ALT)
                .sendKeys(Keys.ARROW_UP)
                .keyUp(Keys.ALT)
                .perform();
        browser.await("for the order to change back", d -> blocks().get(0).contains("Wall and back") && saved());
        assertThat(browser.driver().switchTo().activeElement().getText()).startsWith("Wall and back");
        browser.press("Cup and sock");
        browser.press("Remove");
        browser.await(
                "for one block", d -> blocks().size() == 1 && blocks().get(0).contains("Wall and back"));
        browser.press("Undo");
        browser.await("for two blocks again", d -> blocks().size() == 2);
    }

    /** What a screen reader is told of a move. */
    private String announced() {
        return browser.driver().findElements(By.cssSelector("[id^=DndLiveRegion]")).stream()
                .map(e -> e.getDomProperty("textContent"))
                .reduce("", String::concat);
    }

    @Test
    void a_routine_is_kept_under_its_name_and_put_into_another_lesson() {
        browser.open("/plan/" + lessons.newLesson("A routine to keep"));
        browser.press("+ Routine");
        browser.type(browser.labelled("Name of the routine"), "Low and high");
        browser.type(browser.labelled("Move 2"), "Ball held low");
        browser.await("for it to be saved", d -> saved());
        browser.press("Keep it under its name");
        browser.seeText("Kept: any lesson can have it.");
        browser.type(browser.labelled("Seconds of move 2, s"), "8");
        browser.press("Keep the change, too");
        browser.seeText("Kept: any lesson can have it.");

        String other = lessons.newLesson("A lesson that takes it");
        browser.open("/plan/" + other);
        browser.press("+ Routine");
        browser.choose("Put in a kept routine", "Low and high");
        browser.seeText("Kept: any lesson can have it.");
        browser.await(
                "for it in the lesson",
                d -> saved()
                        && lessons.get("/api/lessons/" + other)
                                        .at("/lesson/blocks/1/routine/moves/1/sec")
                                        .intValue()
                                == 8);
        browser.press("Keep it no longer");
        browser.seeText("Keep it under its name");
        assertThat(lessons.get("/api/routines").toString()).doesNotContain("Low and high");
        assertThat(lessons.get("/api/lessons/" + other)
                        .at("/lesson/blocks/1/routine/name")
                        .stringValue())
                .isEqualTo("Low and high");
    }

    @Test
    void a_routine_is_called_and_its_lesson_copied_deleted_and_brought_back_with_its_note() {
        String name = "Round of the morning";
        String lessonId = lessons.newLesson(name);
        browser.open("/plan/" + lessonId);
        browser.press("+ Routine");
        browser.await(
                "for its figures",
                d -> browser.see("[data-testid=routine-total]")
                        .getText()
                        .equals("3 calls, 34 s once through; 20 in all."));
        browser.type(browser.labelled("Move 2"), "Ball held low");
        browser.type(browser.labelled("After it: what to remember"), "Bring more chalk.");
        browser.await(
                "for the note",
                d -> saved()
                        && lessons.get("/api/lessons/" + lessonId)
                                .at("/lesson/afterNote")
                                .isString());

        browser.open("/plan");
        browser.press("Copy, move, hand over or delete " + name);
        browser.press("Copy it");
        browser.seeText("One copy is planned");
        browser.press("Delete it");
        browser.seeText("“" + name + "” is deleted.");
        assertThat(browser.request("GET", "/api/lessons/" + lessonId, null).get("status"))
                .isEqualTo(404L);
        browser.press("Bring it back");
        browser.await(
                "for the lesson",
                d -> browser.request("GET", "/api/lessons/" + lessonId, null)
                        .get("status")
                        .equals(200L));

        // The copy is a week later, and has what was noted above it.
        String copyId = lessons.get("/api/lessons")
                .valueStream()
                .filter(l -> l.get("name").stringValue().equals(name))
                .filter(l -> l.get("onDay").stringValue().equals("2030-01-15"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        browser.open("/plan/" + copyId);
        browser.await(
                "for the note of the lesson before",
                d -> browser.see("[data-testid=note-before]").getText().endsWith("Bring more chalk."));

        run.beginAnyhow(copyId);
        JsonNode script = run.run().get("sheet").get("script");
        run.jumpTo(script.get("segments")
                .valueStream()
                .filter(s -> s.get("kind").stringValue().equals("WORK")
                        && s.get("block").intValue() == 1)
                .findFirst()
                .orElseThrow()
                .get("index")
                .intValue());
        browser.seeText("Ball round the waist, 10, one side");
    }

    private String total() {
        return browser.see("[data-testid=total]").getText();
    }

    private boolean saved() {
        return browser.see("[data-testid=save-state]").getText().equals("Saved");
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
