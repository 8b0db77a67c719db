package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;

/** What holds on every view: nothing serious for axe, no error in the console, nothing wider than the screen. */
@ExtendWith(OneBrowser.class)
class EveryViewTest {

    private final Browser browser = OneBrowser.browser();

    @BeforeEach
    void asTeacher() {
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    @Test
    void today() {
        browser.seeText("Sail loft, wet Tuesday");
        browser.see("svg[aria-label^='Lane']");
        sound();
    }

    @Test
    void plan_with_a_block_open() {
        browser.press("Open the plan");
        browser.press("Wall serve, stepping back");
        browser.see("[aria-label='Work, s']");
        sound();
    }

    @Test
    void the_beginning_our_words_all_keys_and_what_is_found_by_name() {
        browser.open("/begin");
        browser.seeText("How many pupils?");
        sound();
        browser.press("I have their names");
        browser.type(
                browser.labelled("Class list: paste it as it is, a line each, any columns"),
                "Birch, Rowan, 3.4.2016\nTall, Imke, 9.1.2017");
        browser.seeText("Rowan B., 2016");
        sound();
        browser.open("/words");
        browser.seeText("success criterion met");
        sound();
        browser.keys("?");
        browser.seeText("Where numbers are collected");
        sound();
        browser.keys(Keys.ESCAPE, "/");
        browser.see("[cmdk-input]");
        browser.keys("step-back series");
        browser.seeText("Wall serve, stepping back");
        sound();
        browser.type(browser.see("[cmdk-input]"), "Hoku");
        browser.seeText("Hoku N.");
        browser.keys(Keys.ENTER);
        browser.seeText("A page for the family");
        sound();
    }

    @Test
    void a_plan_as_a_page_for_the_clipboard() {
        browser.press("Open the plan");
        browser.press("Print");
        browser.see("[data-testid=plan-page] svg[role=img]");
        assertThat(browser.see("[data-testid=plan-page]").getText())
                .contains("Wall serve, stepping back", "Success criterion:", "Gather", "Take care", "Notes");
        sound();
    }

    @Test
    void choosing_a_block() {
        browser.press("Open the plan");
        browser.press("+ Add a block");
        browser.see("[type=search]");
        sound();
    }

    @Test
    void a_lesson_proposed() {
        browser.press("Open the plan");
        browser.press("Propose a lesson");
        browser.seeText("Nearly in it");
        sound();
    }

    @Test
    void stations_planned_grouped_rehearsed_and_run() {
        Lessons lessons = new Lessons(browser);
        String id = lessons.ofRungs(
                "Stations to look at",
                java.util.List.of(
                        new Lessons.Rung("wall-and-back", "two-hands-bounce"),
                        new Lessons.Rung("round-the-middle", "waist")));
        browser.open("/plan/" + id);
        browser.press("Side by side");
        browser.seeText("Which tasks at the same time?");
        browser.driver()
                .findElements(org.openqa.selenium.By.cssSelector("[role=dialog] input[type=checkbox]"))
                .forEach(org.openqa.selenium.WebElement::click);
        sound();
        browser.press("Make 2 stations");
        browser.press("Ball round waist and knees");
        browser.press("Rehearse it");
        browser.seeText("Block by block");
        browser.script("document.querySelectorAll('details').forEach(d => d.open = true)");
        sound();
        browser.press("Groups");
        browser.seeText("In the order of the class");
        sound();
        browser.keys(Keys.ESCAPE);
        new RunPage(browser, lessons).beginAnyhow(id);
        browser.see("section[aria-label='Where every group is']");
        sound();
    }

    @Test
    void home_and_a_card_that_plays() {
        browser.open("/home");
        browser.seeText("Paper slips");
        browser.type(browser.labelled("Return codes, one on each line"), "2222-2222-222");
        browser.press("Take them in");
        browser.seeText("None taken");
        sound();
        browser.open(browser.see("[aria-label='Look at the card of Hoku N.']").getDomAttribute("href"));
        browser.seeText("Start practice 1");
        soundCard();
        browser.press("Start practice 1");
        browser.press("Skip this");
        soundCard();
        browser.await("for the end", d -> {
            if (browser.shows("[data-testid=return-code]")) return true;
            browser.script("const b = [...document.querySelectorAll('button')]"
                    + ".find(b => b.textContent === 'Skip this' || b.textContent === 'Done'); if (b) b.click()");
            return null;
        });
        soundCard();
    }

    @Test
    void run_with_pads_and_with_the_collect_sheet() {
        browser.press("Open the plan");
        browser.press("Run it");
        browser.press("Go");
        browser.await("to come to the pads", d -> {
            if (browser.shows("section[aria-label=Pads] button[aria-pressed]")
                    && browser.see("header").getText().contains("Work")) return true;
            browser.keys(org.openqa.selenium.Keys.ARROW_RIGHT);
            return null;
        });
        browser.press("1 Amaru T.");
        browser.see("[data-testid=hits]");
        sound();
        browser.await("to come to the rest", d -> {
            if (browser.shows("form[aria-label='Collect the numbers']")) return true;
            browser.keys(org.openqa.selenium.Keys.ARROW_RIGHT);
            return null;
        });
        sound();
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
        sound();
    }

    @Test
    void pupils_one_ladder_and_one_pupil() {
        browser.open("/pupils");
        browser.see("table");
        sound();
        browser.press("Toss, clap and catch");
        browser.seeText("All ladders");
        sound();
        browser.press("Beatrix O.");
        browser.see("[data-testid=attempts]");
        browser.script("document.querySelectorAll('details').forEach(d => d.open = true)");
        sound();
    }

    @Test
    @Tag("long")
    void everything_that_opens_from_the_pupils() {
        browser.open("/pupils");
        browser.press("Other hand behind");
        browser.see("main section[aria-label] li");
        sound();
        browser.press("Other hand behind");
        browser.press("The term");
        browser.see("[data-testid=term]");
        sound();
        browser.press("The matrix");
        browser.press("In order");
        browser.see("[data-testid=ranking] li");
        sound();
        browser.keys(Keys.ESCAPE);
        browser.press("Results in and out");
        browser.see("[role=dialog] input[type=file]");
        sound();
        browser.keys(Keys.ESCAPE);
        browser.press("Beatrix O.");
        browser.press("Type in a result");
        browser.labelled("Score");
        sound();
        browser.keys(Keys.ESCAPE);
        browser.press("Erase Beatrix O.");
        browser.seeText("With Beatrix O. go, at once and for good");
        sound();
        browser.press("Keep");
        browser.press("A page for the family");
        browser.see("[data-testid=letter]");
        sound();
    }

    @Test
    @Tag("long")
    void the_pads_that_are_drawn_and_those_with_numbers() {
        Lessons lessons = new Lessons(browser);
        RunPage run = new RunPage(browser, lessons);
        run.beginAnyhow(lessons.ofRungs(
                "Pads to look at",
                java.util.List.of(
                        new Lessons.Rung("bowl-at-rings", "with-points"),
                        new Lessons.Rung("number-keep", "what-is-left"),
                        new Lessons.Rung("nearest-the-jack", "to-seven"),
                        new Lessons.Rung("claps-and-turns", "record-of-claps"))));
        for (tools.jackson.databind.JsonNode s :
                run.run().get("sheet").get("script").get("segments")) {
            if (!s.get("kind").stringValue().equals("WORK") || s.get("turn").intValue() > 0) continue;
            run.jumpTo(s.get("index").intValue());
            browser.await("for the block", d -> {
                if (browser.shows("button[data-after]")) browser.press("Done");
                return browser.shows(
                        "section[aria-label=Pads][data-block='" + s.get("block").intValue() + "']");
            });
            if (!browser.shows("section[aria-label=Pads] button[aria-pressed=true]")) browser.press("1 Amaru T.");
            sound();
        }
        run.finish();
    }

    @Test
    void marks_and_a_working() {
        browser.open("/marks");
        browser.seeText("Nearest the jack");
        sound();
        browser.open("/marks/jack");
        browser.see("[data-testid=drawing]");
        browser.see("[data-testid=sentence] p");
        sound();
    }

    @Test
    @Tag("long")
    void every_working() {
        for (String working : new String[] {
            "net", "aim", "ceiling", "off-the-wall", "in-a-row", "step-by-step", "room", "markers", "bowling"
        }) {
            browser.open("/marks/" + working);
            browser.see("[data-testid=drawing]");
            browser.see("[data-testid=sentence] p");
            sound();
        }
        for (String mode : new String[] {
            "off-the-wall?mode=along", "markers?mode=calls", "markers?mode=numbers", "stations?mode=partners"
        }) {
            browser.open("/marks/" + mode);
            browser.see("[data-testid=sentence] p");
            sound();
        }
    }

    @Test
    void ladders_one_of_them_and_the_form_for_ones_own() {
        // One family: the others have the same lines, and looking at each costs time.
        browser.open("/ladders?family=TARGET");
        browser.choose("Where it should fit", "Sail loft");
        browser.seeText("fit as they are");
        sound();
        browser.press("Import");
        browser.see("[role=dialog] input[type=file]");
        sound();
        browser.open("/ladders/claps-and-turns");
        browser.see("aside svg[role=img]");
        sound();
        browser.open("/ladders/new");
        browser.press("Something to play with");
        browser.press("Keep it");
        browser.see("[role=alert]");
        sound();
    }

    @Test
    void store_and_each_of_its_parts() {
        browser.open("/store");
        browser.see("main ul button[aria-expanded]").click();
        browser.labelled("Needs and home of pupil 6").click();
        browser.see("[aria-label='First name of pupil 1']");
        sound();
        browser.press("Class list in and out");
        browser.see("[role=dialog] input[type=file]");
        sound();
        browser.keys(Keys.ESCAPE);
        browser.open("/store/spaces");
        browser.press("Net store");
        browser.see("[aria-label='Length, m long,']");
        sound();
        browser.open("/store/kit");
        browser.see("[aria-label='How many tennis ball']");
        sound();
    }

    @Test
    void the_school_for_its_administrator_and_ones_own_account() {
        browser.open("/me");
        browser.labelled("New password");
        sound();
        browser.signIn("quay");
        browser.open("/school");
        browser.see("[aria-label='Role of Helper']");
        browser.press("Invite somebody");
        sound();
        browser.open("/school/audit");
        browser.seeText("signed in");
        sound();
        browser.open("/school/learnt");
        browser.seeText("Learn now");
        sound();
        browser.open("/school/backups");
        browser.seeText("No backup yet");
        browser.press("Make one now");
        browser.seeText("Made and read back:");
        sound();
        browser.open("/trust");
        browser.seeText("Before you begin on this device");
        sound();
        browser.open("/");
        browser.press("Sign out");
        browser.press("I have a one-time code");
        browser.labelled("One-time code");
        sound();
    }

    private void sound() {
        sound(new AxeBuilder());
    }

    /** A card stands in a box of its own that opens no other window. */
    @SuppressWarnings("deprecation")
    private void soundCard() {
        sound(new AxeBuilder().setLegacyMode(true));
    }

    private void sound(AxeBuilder axe) {
        List<String> serious = axe.analyze(browser.driver()).getViolations().stream()
                .filter(rule -> !"minor".equals(rule.getImpact()))
                .map(EveryViewTest::told)
                .toList();
        assertThat(serious).isEmpty();
        noWiderThan(390, 844);
        // As at 1280 pixels, enlarged four times.
        noWiderThan(320, 256);
        browser.size(1280, 800);
    }

    private void noWiderThan(int width, int height) {
        browser.size(width, height);
        browser.await(
                "for a page no wider than " + width,
                d -> browser.script("return document.documentElement.scrollWidth")
                        .equals((long) width));
    }

    private static String told(Rule rule) {
        return rule.getId() + ": " + rule.getHelp() + " "
                + rule.getNodes().stream().map(n -> n.getHtml()).limit(3).toList();
    }
}
