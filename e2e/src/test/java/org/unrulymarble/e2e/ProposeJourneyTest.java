package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;

/** The next lesson from one press on Today: proposed with reasons, changed, used and taken back. */
@ExtendWith(OneBrowser.class)
class ProposeJourneyTest {

    private final Browser browser = OneBrowser.browser();

    @Test
    void one_press_plans_the_next_lesson_and_what_is_not_wanted_goes() {
        browser.size(1280, 800);
        browser.signIn("okafor");
        browser.press("Plan my next lesson");
        browser.seeText("Nearly in it");
        List<String> first = proposed();
        assertThat(first).hasSizeBetween(4, 7);
        assertThat(browser.see("[aria-label='Proposed blocks']").getText()).contains("last done", "Trains");

        String unwanted = first.get(1);
        browser.press("Not " + unwanted);
        browser.await("for a lesson without it", d -> !working() && !proposed().contains(unwanted));
        browser.press("Keep " + proposed().get(1));
        browser.await("for the answer", d -> !working());
        String kept = proposed().get(1);
        browser.press("Use this lesson");

        browser.seeText(kept);
        browser.await(
                "for the plan that was worked out",
                d -> !browser.see("[data-testid=total]").getText().equals("0:00"));
        browser.press("Undo");
        browser.seeText("No block yet");
    }

    private boolean working() {
        return browser.see("[role=dialog] [role=status]").getText().contains("Laying out");
    }

    private List<String> proposed() {
        return browser.driver().findElements(By.cssSelector("[aria-label='Proposed blocks'] li strong")).stream()
                .map(WebElement::getText)
                .toList();
    }
}
