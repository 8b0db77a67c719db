package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;

/** A plan that checks itself, and the store that it checks against. */
@ExtendWith(OneBrowser.class)
class FindingsJourneyTest {

    private static final String STOPS = "[data-testid=finding][data-level=STOP]";

    private final Browser browser = OneBrowser.browser();

    @BeforeEach
    void wide() {
        browser.size(1280, 800);
    }

    @Test
    void moved_from_the_net_store_to_the_corridor_the_mends_alone_make_it_fit_to_run() {
        browser.signIn("brambell");
        browser.press("Open the plan");
        browser.seeText("Net store: ");
        browser.choose("Space", "Cloakroom corridor");
        browser.seeText("Cloakroom corridor: ");
        browser.await("for what stops it there", d -> browser.shows(STOPS) && saved());
        String moved = findings();
        Set<String> codes = new HashSet<>();

        for (int presses = 0; browser.shows(STOPS); presses++) {
            assertThat(presses).as("presses so far: %s", codes).isLessThan(25);
            WebElement stop = browser.see(STOPS);
            codes.add(stop.getDomAttribute("data-code"));
            String before = findings();
            stop.findElement(By.cssSelector("button.btn-main")).click();
            settled(before);
        }

        assertThat(codes).isNotEmpty();
        assertThat(browser.see("[data-testid=finding-count]").getText()).doesNotContain("mend first");
        // One undo takes one press back.
        String mended = findings();
        browser.press("Undo");
        settled(mended);
        browser.press("Redo");
        browser.await("for the last press again", d -> findings().equals(mended) && saved());
        // And it can be run without being asked.
        browser.press("Run it");
        browser.press("Go");
        browser.see("[role=timer]");
        assertThat(moved).isNotEqualTo(mended);
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    @Test
    void a_finding_is_let_stand_with_a_reason_and_said_again() {
        browser.signIn("okafor");
        browser.press("Open the plan");
        browser.choose("Space", "Classroom, desks back");
        browser.seeText("Classroom, desks back: ");
        browser.await("for what stops it there", d -> browser.shows(STOPS) && saved());
        String code = browser.see(STOPS).getDomAttribute("data-code");
        int before = stops();
        browser.see(STOPS)
                .findElement(By.xpath(".//button[normalize-space(.)='Let it stand']"))
                .click();
        browser.type(browser.labelled("Why it may stand"), "the caretaker agreed");
        browser.see("form button[type=submit]").click();
        browser.await("for one less", d -> stops() == before - 1 && saved());
        browser.press("Run it");
        browser.seeText("Run it as it is?");
        browser.press("Look at the plan first");
        browser.see("[data-testid=findings] summary").click();
        browser.seeText("the caretaker agreed");
        browser.press("Say it again");
        browser.await("for it to be said again", d -> stops() == before && saved());
        assertThat(code).isNotBlank();
        while (!browser.see("[aria-label=Space]").getText().contains("Sail loft")) {
            String now = findings();
            browser.press("Undo");
            browser.await("for the undo", d -> saved());
            if (now.isEmpty()) break;
        }
    }

    @Test
    void a_block_takes_every_school_of_dose_and_says_what_to_expect() {
        browser.signIn("okafor");
        browser.press("Open the plan");
        browser.press("Toss, clap and catch");
        browser.choose("School of dose", "by gate");
        browser.seeText("reach the gate in this block");
        browser.choose("School of dose", "by staircase");
        browser.seeText("middle pupil holds place");
        browser.choose("School of dose", "self-paced");
        browser.seeText("self-paced ·");
        browser.choose("Who is on which rung", "each on their own");
        assertThat(browser.see("[data-testid=on-rungs]").getText()).contains("Amaru T.");
        browser.press("+ Water");
        browser.seeText("Everyone drinks; nobody moves.");
        for (int i = 0; i < 5; i++) browser.press("Undo");
        browser.await("for all to be as it was", d -> saved() && !browser.shows("[data-testid=on-rungs]"));
    }

    @Test
    void the_store_is_changed_where_it_stands_and_undone() {
        browser.signIn("okafor");
        browser.open("/store/kit");
        WebElement count = browser.labelled("How many tennis ball");
        browser.type(count, "many");
        browser.keys(org.openqa.selenium.Keys.TAB);
        browser.seeText("count must be a whole number");
        browser.type(browser.labelled("How many tennis ball"), "3");
        browser.keys(org.openqa.selenium.Keys.TAB);
        browser.await("for three", d -> "3".equals(kitCount()));
        browser.driver().navigate().refresh();
        browser.await("for three after a reload", d -> "3".equals(kitCount()));
        browser.type(browser.labelled("How many tennis ball"), "14");
        browser.keys(org.openqa.selenium.Keys.TAB);
        browser.await(
                "for fourteen",
                d -> browser.see("main button:not([disabled])").isDisplayed() && "14".equals(kitCount()));
        browser.press("Undo");
        browser.await("for three again", d -> "3".equals(kitCount()));
        browser.type(browser.labelled("How many tennis ball"), "14");
        browser.keys(org.openqa.selenium.Keys.TAB);

        browser.open("/store/spaces");
        browser.press("Rope yard");
        browser.type(browser.labelled("Length, m long,"), "15.5");
        // Its free wall runs along 16 m and would stick out of the yard.
        browser.seeText("Free wall must be");
        browser.type(browser.labelled("Free wall, m of it,"), "15.5");
        browser.seeText("15.5 m × 10 m");
        browser.press("Undo");
        browser.press("Undo");
        browser.seeText("16 m × 10 m");
    }

    @Test
    void a_room_has_a_second_free_wall_and_a_task_is_at_both() {
        browser.signIn("okafor");
        browser.open("/store/spaces");
        browser.press("Sail loft");
        browser.press("another free wall");
        browser.seeText("18.4 m of free wall on 2 sides");
        browser.type(browser.labelled("Length of wall 2, m of it,"), "20");
        browser.seeText("Length of wall 2 must be");
        browser.type(browser.labelled("Length of wall 2, m of it,"), "4.5");
        browser.seeText("13.7 m of free wall on 2 sides");

        Lessons lessons = new Lessons(browser);
        String lesson = lessons.newLesson("Two walls");
        browser.open("/plan/" + lesson);
        browser.seeText("at the lower long side");

        browser.request("DELETE", "/api/lessons/" + lesson, null);
        browser.open("/store/spaces");
        browser.press("Sail loft");
        browser.labelled("Take away wall 2").click();
        browser.seeText("9.2 m of free wall,");
    }

    private String kitCount() {
        return browser.labelled("How many tennis ball").getDomProperty("value");
    }

    private int stops() {
        return browser.driver().findElements(By.cssSelector(STOPS)).size();
    }

    private String findings() {
        return browser.see("[data-testid=findings]").getText();
    }

    private boolean saved() {
        return browser.see("[data-testid=save-state]").getText().equals("Saved");
    }

    private void settled(String before) {
        browser.await("for the list to be worked out anew", d -> !findings().equals(before) && saved());
    }
}
