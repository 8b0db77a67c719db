package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The catalogue on screen: what fits where, and a ladder of one's own from the first word to another school. */
@ExtendWith(OneBrowser.class)
class LadderJourneyTest {

    private static final String TASK = "Roll ten along the bench onto the tape.";

    private final Browser browser = OneBrowser.browser();

    @TempDir
    private Path folder;

    @BeforeEach
    void asTeacher() {
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    @Test
    void says_what_fits_in_a_space_and_why_the_rest_does_not() {
        browser.open("/ladders");
        browser.choose("Where it should fit", "Cloakroom corridor");
        browser.seeText("fit as they are");
        assertThat(line("Chest pass to the chalk")).contains("Does not fit").contains("no free wall");
        assertThat(line("Low and loud dribble")).contains("Fits.").contains("7 spots, 2 waves");

        browser.labelled("Search ladders by words").sendKeys("dribbling");
        browser.await(
                "for what is meant alone",
                d -> d.findElements(By.linkText("Chest pass to the chalk")).isEmpty());
        browser.see("main input[type=checkbox]").click();
        browser.await("for what fits alone", d -> !browser.see("main").getText().contains("A few at a time"));

        browser.press("Low and loud dribble");
        browser.see("ol[aria-label=Rungs]");
        browser.press("2 Eyes up");
        browser.seeText("call out how many fingers");
        assertThat(browser.see("aside").getText()).contains("Fits.").contains("7 spots");
    }

    @Tag("long")
    @Test
    void a_ladder_of_ones_own_is_written_planned_exported_and_taken_into_another_school() throws IOException {
        browser.open("/ladders/new");
        browser.press("Keep it");
        browser.seeText("Name of the ladder must be 1 to 60 characters long");
        assertThat(field(2, "What to do").getDomAttribute("aria-invalid")).isEqualTo("true");
        browser.type(browser.labelled("Name of the ladder"), "Bench rolls");
        browser.type(browser.labelled("Sports, with commas between"), "boules, multi-skills");
        for (int i = 1; i <= 3; i++) writeRung(i, "Roll " + i);
        browser.type(field(1, "What to do"), TASK);
        browser.type(browser.labelled("What to tell them"), "Wait.");
        browser.type(browser.labelled("Cue 1"), "Low and slow");
        browser.type(browser.labelled("Cue 2"), "Look at the tape");
        browser.type(browser.labelled("Eyes are"), "on the tape");
        browser.type(browser.labelled("Fault 1, as you see it"), "It hops");
        browser.type(browser.labelled("What mends it"), "Let go lower.");
        browser.press("Keep it");
        browser.see("ol[aria-label=Rungs]");
        browser.seeText(TASK);
        String path = browser.driver().getCurrentUrl().replaceFirst("https?://[^/]+", "");

        plan();
        browser.seeText("Bench rolls");

        browser.open(path + "/edit");
        browser.seeText("used once by results or plans");
        assertThat(browser.labelled("Take out rung 1").isEnabled()).isFalse();
        browser.press("A rung after rung 1");
        browser.seeText("fields need another look");
        writeRung(2, "Between the two");
        browser.await(
                "for the save",
                d -> browser.shows("[data-testid=save-state]")
                        && browser.see("[data-testid=save-state]").getText().equals("Saved"));
        browser.open(path);
        browser.press("2 Between the two");
        browser.seeText("Rung 2: Between the two");

        browser.press("Export");
        String yaml = get(browser.see("[role=dialog] a[href*=YAML]").getDomAttribute("href"));
        assertThat(yaml).contains("name: Bench rolls").contains("name: Between the two");
        Path file = Files.writeString(folder.resolve("bench.yaml"), yaml);
        Path bad = Files.writeString(folder.resolve("bad.yaml"), yaml.replace("effort: 2", "effort: 22"));

        try (MarbleServer other = new MarbleServer(false).start()) {
            browser.at(other.address());
            asFirstTeacher(other);
            browser.open("/ladders");
            browser.press("Import");
            browser.see("[role=dialog] input[type=file]")
                    .sendKeys(bad.toAbsolutePath().toString());
            browser.seeText("must be from 1 to 5".substring(8));
            String told = browser.see("[role=dialog] table").getText();
            int line = yaml.substring(0, yaml.indexOf("effort: 2")).split("\n", -1).length;
            assertThat(told).contains("effort").contains(String.valueOf(line));
            browser.see("[role=dialog] input[type=file]")
                    .sendKeys(file.toAbsolutePath().toString());
            browser.seeText("4 rungs: new");
            browser.press("Import 1 ladder");
            browser.seeText("Imported 1 ladder.");
            browser.keys(Keys.ESCAPE);
            browser.labelled("Search ladders by words").sendKeys("bench rolls");
            browser.press("Bench rolls");
            browser.seeText(TASK);
        } finally {
            browser.at(OneBrowser.server().address());
        }
    }

    @Test
    void a_copy_is_changed_taken_back_with_undo_and_retired() {
        browser.open("/ladders");
        String before = rungs();
        browser.open("/ladders/roll-to-length");
        browser.press("Copy and change");
        WebElement name = browser.labelled("Name of the ladder");
        browser.type(name, "Rolled in our yard");
        saved();
        browser.press("Undo");
        browser.await("for the old name", d -> name.getDomProperty("value").equals("Rolled to a length, ours"));
        browser.press("Redo");
        saved();
        browser.press("The ladder as it is read");
        browser.press("Retire");
        browser.press("Retire it");
        browser.seeText("ours, retired");
        browser.open("/ladders?words=rolled+in+our+yard");
        browser.seeText("No ladder is like that");
        browser.choose("Whose", "our own, retired");
        browser.press("Rolled in our yard");
        browser.press("Offer it again");
        browser.press("Retire");
        browser.press("Remove it for good");
        browser.seeText(before);
    }

    /** How many rungs the page tells: a copy has four more. */
    private String rungs() {
        browser.seeText(" rungs.");
        return browser.see("main").getText().replaceAll("(?s).*(with \\d+ rungs).*", "$1");
    }

    private void saved() {
        browser.await(
                "for the save",
                d -> browser.see("[data-testid=save-state]").getText().equals("Saved"));
    }

    private void writeRung(int number, String name) {
        Map.of(
                        "Name",
                        name,
                        number == 1 ? "How it begins" : "How it changes",
                        "Further.",
                        "What to do",
                        "Roll ten, " + name + ".",
                        "Counts",
                        "On it.",
                        "Does not count",
                        "Off it.",
                        "Easier",
                        "Wider.",
                        "Harder",
                        "Narrower.")
                .forEach((label, text) -> browser.type(field(number, label), text));
    }

    private WebElement field(int rung, String label) {
        return browser.await("for " + label + " of rung " + rung, d -> {
            List<WebElement> labels = d.findElements(
                    By.xpath("//fieldset[@aria-label='Rung " + rung + "']//label[normalize-space(.)='" + label + "']"));
            return labels.isEmpty() ? null : d.findElement(By.id(labels.get(0).getDomAttribute("for")));
        });
    }

    /** Puts the rung that is open into a lesson made for it. */
    private void plan() {
        String classId = id("/api/classes", "Turnstone 6");
        String spaceId = id("/api/spaces", "Net store");
        Map<String, Object> made = browser.request("POST", "/api/lessons", """
                {"version":null,"classId":"%s","spaceId":"%s","name":"Bench day","onDay":"2026-12-03","lesson":{"minutes":30,"audience":"CLASS",
                "restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[]}}""".formatted(classId, spaceId));
        assertThat(made.get("status")).as("%s", made).isEqualTo(201L);
        browser.press("Put it in a plan");
        browser.press("Bench day");
        browser.see("[data-testid=total]");
    }

    private String id(String path, String name) {
        Matcher m = Pattern.compile("\"id\":\"([^\"]+)\",\"version\":\\d+,\"name\":\"" + name)
                .matcher(get(path));
        assertThat(m.find()).as(path).isTrue();
        return m.group(1);
    }

    private String get(String path) {
        return (String) browser.request("GET", path, null).get("body");
    }

    private String line(String ladder) {
        return browser.await("for " + ladder, d -> d.findElement(By.linkText(ladder)))
                .findElement(By.xpath("ancestor::li"))
                .getText();
    }

    private void asFirstTeacher(MarbleServer server) {
        Matcher code = Pattern.compile("one-time code: (\\w+)").matcher(server.printed());
        assertThat(code.find()).isTrue();
        browser.open("/");
        browser.driver().manage().deleteAllCookies();
        browser.open("/");
        browser.type(browser.labelled("One-time code"), code.group(1));
        browser.type(browser.labelled("Name to sign in with"), "rowe");
        browser.type(browser.labelled("Name to be shown"), "Ms Rowe");
        browser.type(browser.labelled("New password"), "a-long-enough-one");
        browser.press("Make the first account");
        browser.see("nav[aria-label=Views]");
    }
}
