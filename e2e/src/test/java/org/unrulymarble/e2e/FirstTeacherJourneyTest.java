package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import tools.jackson.databind.JsonNode;

/** An empty install: from the one-time code to a lesson that was run and recorded, with every press and key counted. */
@ExtendWith(OneBrowser.class)
class FirstTeacherJourneyTest {

    private static final String SHEET = "form[aria-label='Collect the numbers']";
    private static final int MOST_PRESSES = 60;
    private static final int MOST_KEYS = 250;
    private static final int MOST_SEC = 300;

    private final Browser browser = OneBrowser.browser();

    @AfterEach
    void asBefore() {
        browser.at(OneBrowser.server().address());
    }

    @Test
    void from_nothing_to_a_recorded_lesson_of_24_in_few_presses() {
        try (MarbleServer empty = new MarbleServer(false).start()) {
            browser.at(empty.address());
            browser.open("/");
            browser.driver().manage().deleteAllCookies();
            aWrongCodeIsSaidAtItsField();
            Newcomer newcomer = new Newcomer(browser);
            newcomer.opens("/");
            browser.await(
                    "to be asked for the code",
                    d -> d.switchTo().activeElement().getTagName().equals("input"));
            newcomer.types(
                    Newcomer.code(empty), Keys.TAB, "rowe", Keys.TAB, "Ms Rowe", Keys.TAB, "ball-in-a-cup", Keys.ENTER);

            newcomer.reads("How many pupils?");
            // A choice among cards, pressed as the label that it is.
            browser.script("arguments[0].click()", browser.seeText("Covered yard"));
            newcomer.pressed();
            newcomer.press("Propose a lesson");
            newcomer.reads("This lesson is a proposal for 24 pupils");
            newcomer.press("Run it");
            newcomer.reads("Stop all");
            newcomer.types(" ");
            List<Integer> counted = countedBlocks();
            assertThat(counted).hasSizeGreaterThanOrEqualTo(3);
            for (int block : counted.subList(0, 3)) {
                newcomer.press("Go to");
                browser.see("[role=dialog] li:nth-of-type(" + (block + 1) + ") button")
                        .click();
                newcomer.pressed();
                // What a class would wait for is skipped, a key each; then the turn is worked for a moment.
                for (int skipped = 0; !working() && skipped < 8; skipped++) newcomer.types(Keys.ARROW_RIGHT);
                newcomer.press("End the turn");
                newcomer.reads("counted");
                assertThat(browser.see(SHEET + " p").getText()).startsWith((block + 1) + " ");
                numbers(newcomer, block != counted.get(2));
            }
            newcomer.press("Finish");
            newcomer.reads("Finish this run?");
            newcomer.types(Keys.ENTER);
            browser.see("[data-testid=recorded]");

            System.out.println("first lesson: " + newcomer.told());
            assertThat(newcomer.presses()).as(newcomer.told()).isLessThanOrEqualTo(MOST_PRESSES);
            assertThat(newcomer.keys()).as(newcomer.told()).isLessThanOrEqualTo(MOST_KEYS);
            assertThat(newcomer.seconds()).as(newcomer.told()).isLessThanOrEqualTo(MOST_SEC);
            assertThat(pupilsWithResults()).isEqualTo(24);
            assertThat(laddersWithResults()).isEqualTo(3);
            onePasteNamesThem();
        }
    }

    private void aWrongCodeIsSaidAtItsField() {
        browser.open("/");
        browser.type(browser.labelled("One-time code"), "WRONGONE");
        browser.type(browser.labelled("Name to sign in with"), "rowe");
        browser.type(browser.labelled("Name to be shown"), "Ms Rowe");
        browser.seeText("12 characters or more");
        browser.type(browser.labelled("New password"), "ball-in-a-cup");
        browser.press("Make the first account");
        browser.seeText("One-time code must be the code");
    }

    /** Whoever had a number has a name now, and all that was recorded. */
    private void onePasteNamesThem() {
        String list = IntStream.range(0, 24)
                .mapToObj(i -> (i + 1) + ". Birch, Pim" + (char) ('a' + i))
                .collect(Collectors.joining("\n"));
        browser.open("/store");
        browser.see("main ul button[aria-expanded]").click();
        browser.type(browser.labelled("Class list: paste it as it is, a line each, any columns"), list);
        browser.press("Name 24 pupils");
        Lessons lessons = new Lessons(browser);
        browser.await(
                "for the names to be saved",
                d -> lessons.get("/api/classes").toString().contains("\"Pimx B.\""));
        assertThat(lessons.get("/api/classes").toString())
                .contains("\"Pima B.\"")
                .doesNotContain("\"Pupil ");
        assertThat(pupilsWithResults()).isEqualTo(24);
    }

    /** Numbers of the blocks of the run that count and where all work at once, each with a number, from 0, those with one side first. */
    private List<Integer> countedBlocks() {
        JsonNode blocks = run().get("sheet").get("script").get("blocks");
        return IntStream.range(0, blocks.size())
                .filter(b -> blocks.get(b).get("counted").booleanValue()
                        && blocks.get(b).get("turns").get(0).get("crews").size() == 24)
                .boxed()
                .sorted(Comparator.comparing(b -> blocks.get(b).get("sides").size()))
                .toList();
    }

    /** 24 numbers, or all that the sheet asks, as the focus goes: a digit and Enter each. */
    private void numbers(Newcomer newcomer, boolean all) {
        int asked = open().size();
        assertThat(asked).as("numbers that a round of 24 asks for").isGreaterThanOrEqualTo(24);
        int typed = all ? asked : 24;
        for (int n = 0; n < typed; n++) newcomer.types(String.valueOf(3 + n % 6), Keys.ENTER);
        assertThat(open()).hasSize(asked - typed);
        newcomer.types(Keys.ESCAPE);
    }

    private List<WebElement> open() {
        return browser.driver().findElements(By.cssSelector(SHEET + " input[data-open=true]"));
    }

    private JsonNode run() {
        return new Lessons(browser)
                .get("/api/runs/" + browser.driver().getCurrentUrl().replaceAll(".*/", ""));
    }

    private boolean working() {
        return ((String) browser.script("return document.body.innerText")).contains("Work ·");
    }

    private long pupilsWithResults() {
        return recorded("pupilId");
    }

    private long laddersWithResults() {
        return recorded("ladderId");
    }

    private long recorded(String by) {
        Lessons lessons = new Lessons(browser);
        String classId = lessons.get("/api/classes").get(0).get("id").stringValue();
        return lessons.get("/api/classes/" + classId + "/record")
                .get("onLadders")
                .valueStream()
                .filter(o -> o.get("rounds").intValue() > 0)
                .map(o -> o.get(by).stringValue())
                .distinct()
                .count();
    }
}
