package org.unrulymarble.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** Takes the pictures of docs/screenshots anew, from a fresh demo. Argument: the folder. */
public final class Shots {

    private final Browser browser;
    private final Path folder;

    private Shots(Browser browser, Path folder) {
        this.browser = browser;
        this.folder = folder;
    }

    public static void main(String[] args) throws IOException {
        Path folder = Files.createDirectories(Path.of(args[0]));
        try (MarbleServer server = new MarbleServer(true).start();
                Browser browser = new Browser().at(server.address())) {
            new Shots(browser, folder).all();
        }
        System.exit(0);
    }

    private void all() {
        browser.open("/");
        browser.see("form");
        browser.signIn("okafor");
        browser.see("svg[aria-label^=Lane]");
        browser.see("#last ~ ul");
        picture("today");

        browser.press("Open the plan");
        browser.see("[data-testid=figures]");
        browser.press("Wall serve, stepping back");
        browser.see("[aria-label='Work, s']");
        browser.script("window.scrollTo(0, 0)");
        picture("plan");
        browser.press("Propose a lesson");
        browser.seeText("one task after the other it would be");
        picture("plan-propose");
        stations();
        pastTheBell();

        run();

        browser.open("/pupils");
        browser.see("table svg");
        picture("pupils");
        browser.press("Eitan R.");
        browser.see("[data-testid=attempts]");
        browser.see("main figure svg");
        picture("pupil");

        home();
        ladders();
        marks();

        browser.open("/begin");
        browser.seeText("How many pupils?");
        picture("begin");
        browser.open("/store");
        browser.see("main ul button[aria-expanded]").click();
        browser.see("[aria-label='First name of pupil 1']");
        picture("store");
        browser.signIn("quay");
        browser.press("School");
        browser.see("[aria-label='Role of Helper']");
        picture("school");
    }

    /** What was proposed, with a station chosen; taken back afterwards. */
    private void stations() {
        browser.press("Use it instead");
        browser.seeText("stations at the same time");
        browser.await("for a station", d -> {
            browser.driver().findElements(org.openqa.selenium.By.cssSelector("button[data-block]")).stream()
                    .filter(b -> b.getText().contains("each works in"))
                    .findFirst()
                    .orElseThrow()
                    .click();
            return true;
        });
        browser.see("aside svg[role=group]");
        browser.script("document.activeElement.blur(); window.scrollTo(0, 0)");
        picture("plan-stations");
        browser.press("Undo");
        browser.press("Wall serve, stepping back");
        browser.see("[aria-label='Work, s']");
    }

    private void home() {
        browser.open("/home");
        browser.seeText("Paper slips");
        picture("home");
        browser.open(browser.see("[aria-label='Look at the card of Hoku N.']").getDomAttribute("href"));
        browser.seeText("Start practice 1");
        picture("home-card");
    }

    private void ladders() {
        browser.open("/ladders");
        browser.choose("Where it should fit", "Cloakroom corridor");
        browser.seeText("fit as they are");
        browser.script("document.activeElement.blur()");
        picture("ladders");
        browser.open("/ladders/wall-and-back");
        browser.choose("Where it should fit", "Sail loft");
        browser.see("aside svg[role=img]");
        browser.await(
                "for every rung",
                d -> browser.see("ol[aria-label=Rungs]").getText().split("Fits", -1).length == 6);
        browser.script("document.activeElement.blur()");
        picture("ladder");
    }

    private void marks() {
        browser.open("/marks");
        browser.seeText("Nearest the jack");
        picture("marks");
        browser.open("/marks/net?standM=4.5&angleDeg=30");
        browser.seeText("chalk that band");
        picture("marks-net");
    }

    /** The lane when a lesson is too long; taken back afterwards. */
    private void pastTheBell() {
        browser.type(browser.labelled("Sets"), "3");
        browser.seeText("past the bell");
        browser.press("Later");
        browser.await(
                "for the save",
                d -> browser.see("[data-testid=save-state]").getText().equals("Saved"));
        browser.script("window.scrollTo(0, 0)");
        browser.script("document.querySelector('[data-testid=findings]').scrollIntoView()");
        // Until it is saved no mend can be pressed.
        browser.await(
                "for the presses",
                d -> d.findElement(By.xpath("//button[.='Fit to the bell']")).isEnabled());
        picture("plan-findings");
        browser.press("Undo");
        browser.press("Undo");
        browser.await(
                "for the bell to be kept",
                d -> browser.see("[data-testid=figures]").getText().contains("before the bell")
                        && browser.see("[data-testid=save-state]").getText().equals("Saved"));
    }

    private void run() {
        browser.press("Run it");
        browser.press("Go");
        until("header", "Work");
        skipTo("Wall serve, stepping back");
        for (String name : new String[] {"1 Amaru T.", "2 Cosmo V.", "4 Goran P."}) browser.press(name);
        browser.keys("q", "q", "w", "q", "e", "e", "w");
        browser.shifted("w");
        browser.keys("q");
        picture("run");
        browser.size(820, 1180);
        browser.see("header");
        picture("run-tablet");
        browser.size(1280, 800);
        // Numbers as they are need some of the 45 s.
        for (String left : new String[] {"0:3", "0:2"})
            browser.await("for " + left, d -> browser.see("header").getText().contains(left));
        browser.keys(Keys.ARROW_RIGHT);
        browser.see("form[aria-label='Collect the numbers']");
        for (int n : new int[] {6, 8, 5}) browser.keys(Integer.toString(n), Keys.ENTER);
        picture("run-collect");
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    private void skipTo(String task) {
        browser.await("to come to the work of " + task, d -> {
            String face = browser.see("header").getText();
            if (face.contains(task) && face.contains("Work")) return true;
            if (browser.shows("form[aria-label='Collect the numbers']")) browser.keys(Keys.ESCAPE);
            browser.keys(Keys.ARROW_RIGHT);
            return null;
        });
    }

    private void until(String css, String text) {
        browser.await("for " + text, d -> {
            if (browser.see(css).getText().contains(text)) return true;
            browser.keys(Keys.ARROW_RIGHT);
            return null;
        });
    }

    private void picture(String name) {
        browser.await("for the fonts", d -> (Boolean) browser.script("return document.fonts.status === 'loaded'"));
        browser.picture(folder.resolve(name + ".png"));
    }
}
