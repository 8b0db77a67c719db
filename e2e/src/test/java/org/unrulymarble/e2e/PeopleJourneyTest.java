package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;

/** Somebody new comes to a school: invited by the office, let in by a code, with the views that the role has. */
@ExtendWith(OneBrowser.class)
class PeopleJourneyTest {

    private final Browser browser = OneBrowser.browser();

    @Test
    void the_office_invites_a_helper_who_sets_a_password_and_later_loses_the_account() {
        browser.signIn("quay");
        assertThat(views()).contains("School");
        browser.press("School");
        browser.press("Invite somebody");
        browser.type(browser.labelled("Name to be shown"), "Miss Tern");
        browser.type(browser.labelled("Name to sign in with"), "okafor");
        browser.choose("Role", "helper: runs");
        browser.press("Make the account and its code");
        browser.seeText("Name to sign in with is there twice: okafor");
        browser.type(browser.labelled("Name to sign in with"), "tern");
        browser.press("Make the account and its code");
        String code = browser.see("[data-testid=one-time-code]").getText();
        browser.press("Done");
        browser.seeText("has a code, good until");

        browser.press("Sign out");
        browser.press("I have a one-time code");
        browser.type(browser.labelled("Name to sign in with"), "tern");
        browser.type(browser.labelled("One-time code"), code);
        browser.type(browser.labelled("New password"), "terntern");
        browser.press("Set the password and come in");
        browser.seeText("New password must be 12 characters or more");
        browser.type(browser.labelled("New password"), "kettle under seven larches");
        browser.press("Set the password and come in");
        browser.seeText("A teacher says with each class who helps");
        assertThat(views()).containsExactly("Today", "Run", "Ladders", "Marks");

        browser.open("/me");
        browser.type(browser.labelled("Password as it is now"), "a guess");
        browser.type(browser.labelled("New password"), "nine lamps in the fog");
        browser.press("Set the new password");
        browser.seeText("must be the one you signed in with");
        browser.type(browser.labelled("Password as it is now"), "kettle under seven larches");
        browser.press("Set the new password");
        browser.seeText("Set. Other devices");

        browser.signIn("quay");
        browser.press("School");
        WebElement line = browser.see("[aria-label='Role of Miss Tern']").findElement(By.xpath("ancestor::li"));
        line.findElement(By.xpath(".//button[.='Close the account']")).click();
        browser.seeText("closed");
        browser.press("Audit");
        browser.seeText("closed the account of Miss Tern");
        browser.seeText("set another password");
        browser.press("Sign out");
        browser.type(browser.labelled("Name to sign in with"), "tern");
        browser.type(browser.labelled("Password"), "nine lamps in the fog");
        browser.press("Sign in");
        browser.seeText("Name and password do not fit together");
    }

    @Test
    void a_lesson_is_handed_to_another_teacher_for_a_day_and_taken_back() {
        Lessons lessons = new Lessons(browser);
        browser.signIn("okafor");
        String id = lessons.newLesson("While the teacher is away");
        String lesson = lessons.get("/api/lessons/" + id).toString();
        lessons.put(id, lesson.replace("2030-01-08", LocalDate.now().toString()));
        String more = "[aria-label='Copy, move, hand over or delete While the teacher is away']";
        browser.open("/plan");
        browser.see(more).click();
        browser.choose("Who gives it", "Mr Brambell");
        browser.press("Hand it over");
        browser.seeText("Mr Brambell gives it on");

        browser.signIn("brambell");
        browser.seeText("Handed to you for today");
        WebElement line = browser.seeText("While the teacher is away").findElement(By.xpath("ancestor::li"));
        assertThat(line.getText()).contains("Turnstone 6", "20 min");
        line.findElement(By.linkText("Open the plan")).click();
        browser.seeText("Turnstone 6 on");
        assertThat(browser.see("input[aria-label='Minutes']").isEnabled()).isFalse();
        browser.press("Run it");
        String run = browser.await("the run", d -> {
            String at = d.getCurrentUrl();
            return at != null && at.contains("/run/") ? at : null;
        });

        browser.signIn("okafor");
        browser.open("/plan");
        browser.see(more).click();
        browser.press("Take it back");
        browser.await("nobody gives it", d -> !d.getPageSource().contains("gives it on"));

        browser.signIn("brambell");
        browser.seeText("Net store jack night");
        assertThat(browser.driver().getPageSource()).doesNotContain("While the teacher is away");
        browser.driver().get(run);
        browser.seeText("Not found");

        browser.signIn("okafor");
        browser.request("DELETE", "/api/lessons/" + id, null);
    }

    private List<String> views() {
        return browser.see("nav[aria-label=Views]").findElements(By.tagName("a")).stream()
                .map(WebElement::getText)
                .toList();
    }
}
