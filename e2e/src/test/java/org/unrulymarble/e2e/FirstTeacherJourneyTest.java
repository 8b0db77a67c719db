package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** An empty install: the first teacher, class, space and lesson, all from the screen. */
@ExtendWith(OneBrowser.class)
class FirstTeacherJourneyTest {

    private final Browser browser = OneBrowser.browser();

    @Test
    void sets_up_with_the_one_time_code_and_plans_a_lesson_of_her_own() {
        try (MarbleServer empty = new MarbleServer(false).start()) {
            browser.at(empty.address());
            browser.open("/");
            browser.driver().manage().deleteAllCookies();
            browser.open("/");
            browser.type(browser.labelled("One-time code"), "WRONGONE");
            browser.type(browser.labelled("Name to sign in with"), "rowe");
            browser.type(browser.labelled("Name to be shown"), "Ms Rowe");
            browser.seeText("12 characters or more");
            browser.type(browser.labelled("New password"), "a-long-enough-one");
            browser.press("Make the first account");
            browser.seeText("One-time code must be the code");
            browser.type(browser.labelled("One-time code"), code(empty));
            browser.press("Make the first account");

            browser.seeText("No class yet");
            browser.press("Make the first class");
            browser.press("New class");
            browser.type(browser.labelled("Class"), "Linnet 4");
            browser.labelled("Add pupils, a line each: first name, initial, birth year")
                    .sendKeys("Rowan, B, 2016\nImke T\nOle; S; 2017");
            browser.press("Put them in the table");
            assertThat(browser.labelled("Initial of pupil 2").getDomProperty("value"))
                    .isEqualTo("T");
            browser.press("Save the class");
            browser.seeText("Linnet 4 · 3 pupils");
            browser.press("Spaces");
            browser.press("New space");
            browser.type(browser.labelled("Name"), "Hallway");
            browser.type(browser.labelled("Length, m long,"), "6.5");
            browser.type(browser.labelled("Width, m wide,"), "2");
            browser.press("Save the space");
            browser.seeText("6.5 m × 2 m");

            browser.press("Plan");
            browser.press("Plan a lesson");
            browser.press("Plan it");
            browser.seeText("Name must be 1 to 80 characters long");
            browser.type(browser.labelled("Name"), "Hallway hands");
            browser.press("Plan it");
            browser.press("+ Add a block");
            browser.press("Add Round the middle, rung 1");
            browser.seeText("3 work, nobody waits");
            browser.see("[data-testid=total]");
            assertThat(browser.see("[data-testid=total]").getText()).isNotEqualTo("0:00");
        } finally {
            browser.at(OneBrowser.server().address());
        }
    }

    private static String code(MarbleServer server) {
        Matcher code = Pattern.compile("one-time code: (\\w+)").matcher(server.printed());
        assertThat(code.find()).as("code in %s", server.printed()).isTrue();
        return code.group(1);
    }
}
