package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;

/** A card is made, printed, played from its file with the network off, comes back by its code, stands on the pupil's page and goes with the pupil. */
@ExtendWith(OneBrowser.class)
class HomeJourneyTest {

    private final Browser browser = OneBrowser.browser();
    private final Path file = Path.of(System.getProperty("java.io.tmpdir"), "practice-" + UUID.randomUUID() + ".html");

    /** The other journeys share this browser: its class in hand is none of theirs. */
    @AfterEach
    void asBefore() throws IOException {
        browser.offline(false);
        browser.open("/");
        browser.script("localStorage.removeItem('marble.class')");
        Files.deleteIfExists(file);
    }

    @Test
    void a_practice_goes_home_and_comes_back() throws IOException {
        browser.offline(false);
        browser.size(1280, 800);
        browser.signIn("okafor");
        String classId = made();
        browser.open("/home");
        browser.press("Make 2 cards");
        browser.see("[aria-label='Look at the card of Oda K.']");
        String card = (String) browser.script(
                "return document.querySelector('[aria-label=\"Card of Oda K. on paper\"]').getAttribute('href')");
        assertThat(browser.request("GET", card, null).get("status")).isEqualTo(200L);

        String code = played(card.replace("card.pdf", "page"));
        String second = standIn(file);

        browser.open("/home");
        browser.type(
                browser.labelled("Return codes, one on each line"), code.toLowerCase() + "\n" + code + "\n" + second);
        browser.press("Take them in");
        browser.seeText("2 taken.");
        browser.seeText("came before (Oda K.).");
        String wrong = second.substring(0, second.length() - 1) + (second.endsWith("A") ? "C" : "A");
        browser.type(browser.labelled("Return codes, one on each line"), wrong);
        browser.press("Take them in");
        browser.seeText("1 code could not be read");
        browser.type(browser.labelled("Code put right, sent as " + wrong), second);
        browser.press("Read " + wrong + " again");
        browser.await(
                "for the list to empty", d -> !browser.see("main").getText().contains("could not be read"));
        browser.open("/");
        browser.seeText("2 results came back from home.");
        browser.press("See what came back");
        browser.press("Keep all 2");
        browser.see("[aria-label='practice 1 came back']");

        String pupilId = pupil(classId);
        browser.open("/pupils/" + pupilId);
        assertThat(browser.see("[data-testid=attempts] tbody tr").getText()).contains("at home, not confirmed");

        browser.press("Erase Oda K.");
        browser.seeText("1 card for home");
        browser.press("Yes, erase");
        browser.seeText("Erased:");
        browser.open("/home");
        browser.type(browser.labelled("Return codes, one on each line"), code);
        browser.press("Take them in");
        browser.seeText("belongs to no card of this class.");
    }

    private String made() {
        Map<String, Object> answer = browser.request("POST", "/api/classes", """
                {"name":"Whimbrel 3","pupils":[
                  {"details":{"firstName":"Oda","initial":"K","shoeCm":22}},
                  {"details":{"firstName":"Milo","initial":"R"}}]}""");
        String id = first("\"id\":\"([^\"]+)\"", (String) answer.get("body"));
        browser.script("localStorage.setItem('marble.class', arguments[0])", id);
        return id;
    }

    private String pupil(String classId) {
        String body =
                (String) browser.request("GET", "/api/classes/" + classId, null).get("body");
        return first("\"id\":\"([^\"]+)\",\"name\":\"Oda K", body);
    }

    private static String first(String pattern, String in) {
        Matcher found = Pattern.compile(pattern).matcher(in);
        assertThat(found.find()).as(pattern + " in " + in).isTrue();
        return found.group(1);
    }

    /** From a file of its own, as a family has it. */
    private String played(String page) throws IOException {
        Files.writeString(file, (String) browser.request("GET", page, null).get("body"));
        browser.offline(true);
        readWithoutScript();
        playedWithoutAnythingKept();
        browser.driver().get(file.toUri().toString());
        browser.press("Start practice 1");
        browser.await("for a round that is counted", d -> {
            if (browser.shows("button.count")) return true;
            browser.script("[...document.querySelectorAll('button')].find(b => b.textContent === 'Skip this').click()");
            return null;
        });
        for (int i = 0; i < 4; i++) browser.see("button.count").click();
        browser.press("Take one back");
        // What was counted is there when the device comes back to it; a busy browser hands it over a moment after the
        // tap.
        browser.await("for what the device kept", d -> {
            browser.driver().get(file.toUri().toString());
            return (Boolean)
                    browser.script(
                            "return [...document.querySelectorAll('button')].some(b => b.textContent === 'Go on with practice 1')");
        });
        browser.press("Go on with practice 1");
        toTheCode();
        assertThat(browser.see("#number-0").getDomProperty("value")).isEqualTo("3");
        String code = browser.see("[data-testid=return-code]").getText();
        browser.offline(false);
        return code;
    }

    /** It reads as the paper does, with boxes to fill in and the number to send back. */
    private void readWithoutScript() {
        browser.scripts(false);
        browser.driver().get(file.toUri().toString());
        String sheet = browser.driver().findElement(By.tagName("main")).getText();
        boolean pressed = !browser.driver().findElements(By.tagName("button")).isEmpty();
        browser.scripts(true);
        assertThat(pressed).isFalse();
        assertThat(sheet).contains("Get and make", "Round 1", "Send it back", "Your home, if you like to tell us");
    }

    /** In a frame of no origin there is no storage: it says so, and its code comes all the same. */
    private void playedWithoutAnythingKept() throws IOException {
        Path frame = Files.writeString(
                file.resolveSibling("frame-" + file.getFileName()),
                "<!doctype html><iframe sandbox='allow-scripts' src='%s' style='width:100%%;height:90vh'></iframe>"
                        .formatted(file.getFileName()));
        try {
            browser.driver().get(frame.toUri().toString());
            browser.driver().switchTo().frame(0);
            assertThat(browser.see(".bar").getText()).contains("This device keeps nothing");
            browser.press("Start practice 1");
            toTheCode();
            assertThat(browser.see("[data-testid=return-code]").getText()).matches("[0-9A-Z]{4}(-[0-9A-Z]{1,4})+");
            browser.seeText("This device keeps nothing");
        } finally {
            browser.driver().switchTo().defaultContent();
            Files.deleteIfExists(frame);
        }
    }

    private void toTheCode() {
        browser.await("for the end", d -> {
            if (browser.shows("[data-testid=return-code]")) return true;
            browser.script("const b = [...document.querySelectorAll('button')]"
                    + ".find(b => b.textContent === 'Skip this' || b.textContent === 'Done'); if (b) b.click()");
            return null;
        });
    }

    /** The stand-in family plays the same card: its code is one of this card, too. */
    private static String standIn(Path file) throws IOException {
        Process family = new ProcessBuilder("node", "../stand-ins/family/play.mjs", file.toString(), "--practice", "2")
                .redirectErrorStream(true)
                .start();
        return new String(family.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
    }
}
