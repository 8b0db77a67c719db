package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.unrulymarble.e2e.Lessons.Rung;
import tools.jackson.databind.JsonNode;

/** Stations side by side: put together, printed, run on two devices and the wall, recorded with their tasks. */
@ExtendWith(OneBrowser.class)
class CircuitJourneyTest {

    private final Browser browser = OneBrowser.browser();
    private final Lessons lessons = new Lessons(browser);
    private final RunPage run = new RunPage(browser, lessons);

    @BeforeEach
    void asTeacher() {
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    private String threeStations() {
        String id = lessons.ofRungs(
                "Stations",
                List.of(
                        new Rung("wall-and-back", "two-hands-bounce"),
                        new Rung("round-the-middle", "waist"),
                        new Rung("there-and-back", "underarm-two-hands")));
        browser.open("/plan/" + id);
        browser.press("Side by side");
        browser.seeText("Which tasks at the same time?");
        for (WebElement box : browser.driver().findElements(By.cssSelector("[role=dialog] input[type=checkbox]")))
            box.click();
        browser.press("Make 3 stations");
        browser.seeText("Circuit: 3 stations at the same time");
        browser.type(browser.labelled("Work at each station, s of work"), "20");
        browser.await(
                "for it to be saved",
                d -> lessons.get("/api/lessons/" + id)
                                .at("/lesson/circuits/0/workSec")
                                .intValue()
                        == 20);
        return id;
    }

    @Test
    void stations_are_laid_out_regrouped_printed_and_taken_apart() {
        String id = threeStations();
        browser.press("Ball round waist and knees");
        assertThat(browser.see("aside svg[role=group]").getDomAttribute("aria-label"))
                .startsWith("Sail loft")
                .contains("with 3 stations", "2 Ball round waist and knees: ");
        assertThat(browser.see("aside figcaption").getText())
                .containsPattern("1 Wall and back: \\d spots, .*free wall")
                .containsPattern("You: .* from the top\\. From there all stations are in sight\\.");

        browser.choose("Rest at this station between rounds", "25 s rest here");
        browser.await(
                "for a rest of its own",
                d -> lessons.get("/api/lessons/" + id)
                                .at("/plan/circuits/0/stations/1/rest/sec")
                                .intValue()
                        == 25);
        browser.press("Rehearse it");
        browser.seeText("Played 1,000 times");
        browser.seeText("Block by block");

        // By keyboard to where it may be, and by no means off the floor.
        WebElement second = browser.driver()
                .findElements(By.cssSelector("aside svg g[role=button]"))
                .get(1);
        String was = second.getDomAttribute("aria-label");
        second.sendKeys(Keys.ARROW_RIGHT);
        browser.await(
                "for the station to move or to say why not",
                d -> browser.shows("aside [role=alert]")
                        || !was.equals(d.findElements(By.cssSelector("aside svg g[role=button]"))
                                .get(1)
                                .getDomAttribute("aria-label")));
        browser.press("Groups");
        browser.choose("Group of Amaru T.", "Group 3");
        browser.await(
                "for the other group",
                d -> lessons.get("/api/lessons/" + id)
                        .at("/plan/circuits/0/groups/2/names")
                        .toString()
                        .contains("Amaru T."));
        browser.keys(Keys.ESCAPE);

        browser.open("/plan/" + id + "/page");
        String page = browser.see("[data-testid=plan-page]").getText();
        assertThat(page).contains("Who is where, 0:55 each", "Station 3 of 3", "Visit 3");
        assertThat(page).as("where station 1 is").containsPattern("1 Wall and back\\n.*free wall");

        browser.open("/plan/" + id);
        browser.press("Take apart");
        browser.await(
                "for three blocks",
                d -> lessons.get("/api/lessons/" + id).at("/lesson/circuits").isEmpty());
        browser.press("Undo");
        browser.seeText("Circuit: 3 stations at the same time");
    }

    @Test
    void two_devices_at_two_stations_and_the_wall_and_all_is_recorded_with_its_task() {
        run.beginAnyhow(threeStations());
        browser.press("Wall, more");
        String path = "/wall/" + browser.see("[data-testid=wall-code]").getText();
        browser.keys(Keys.ESCAPE);
        toWork();
        assertThat(browser.see("header").getText()).contains("Wall and back", "visit 1 of 3 · round 1 of 2");
        browser.press("1 Amaru T.");
        browser.keys("q", "q");
        run.awaitSent();

        // The second device looks after station 2.
        JsonNode script = run.run().at("/sheet/script");
        JsonNode second = rounds(script, 1).get(0);
        String there = script.at("/blocks/1/turns/" + second.get("turn").intValue() + "/crews/0/workers/0")
                .stringValue();
        run.tapElsewhere(second.get("index").intValue(), there);
        browser.press("2 Ball round waist and knees");
        browser.await(
                "for the other station", d -> browser.see("header").getText().contains("Ball round waist and knees"));
        assertThat(browser.shows("[data-testid=hits]"))
                .as("nobody is watched there")
                .isFalse();

        String hand = browser.driver().getWindowHandle();
        browser.driver().switchTo().newWindow(WindowType.TAB);
        browser.open(path);
        browser.seeText("2 Ball round waist and knees");
        assertThat(browser.see("main").getText()).contains("Group 1: Amaru").doesNotContain("Amaru T.");
        String wall = browser.driver().getWindowHandle();
        browser.driver().switchTo().window(hand);

        // On to the change: the numbers of the station that this screen looks after are asked for.
        browser.await("for the change of stations", d -> {
            if (browser.see("header").getText().contains("Change stations")) return true;
            browser.keys(Keys.ARROW_RIGHT);
            return null;
        });
        browser.driver().switchTo().window(wall);
        browser.await(
                "for the way to station 1",
                d -> browser.see("main").getText().matches("(?s).*1 Wall and back\\s+Group 3: now .*free wall.*"));
        browser.driver().close();
        browser.driver().switchTo().window(hand);
        browser.seeText("Numbers still missing");
        assertThat(browser.see("form[aria-label='Collect the numbers']").getText())
                .contains("2 Ball round waist and knees", "1 Wall and back, visit 1, round 1");
        run.finish();
        JsonNode results = run.run().at("/state/results");
        assertThat(results.valueStream().map(r -> r.get("rungId").stringValue() + " " + r.get("score")))
                .containsExactlyInAnyOrder("two-hands-bounce 2", "waist 1");
        assertThat(browser.see("[data-testid=recorded]").getText()).contains("2 results of 2 pupils");
    }

    private void toWork() {
        browser.await("to come to work", d -> {
            if (browser.see("header").getText().contains("Work · visit 1")) return true;
            browser.keys(Keys.ARROW_RIGHT);
            return null;
        });
    }

    private static List<JsonNode> rounds(JsonNode script, int block) {
        return script.get("segments")
                .valueStream()
                .filter(s -> s.get("kind").stringValue().equals("WORK")
                        && s.get("block").intValue() == block)
                .toList();
    }
}
