package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;

/** The board of workings, as a teacher with a piece of chalk uses it. */
@ExtendWith(OneBrowser.class)
class MarksJourneyTest {

    private final Browser browser = OneBrowser.browser();

    @BeforeEach
    void asTeacher() {
        browser.size(1280, 800);
        browser.signIn("okafor");
        browser.press("Marks");
    }

    @AfterEach
    void inMetres() {
        browser.script("localStorage.removeItem('marble.units')");
    }

    @Test
    void the_wall_is_dragged_and_the_band_and_the_link_follow() {
        browser.press("Net on a wall");
        WebElement wall = browser.see("[aria-label='Place of the wall']");
        browser.seeText("chalk that band");
        double perM = Double.parseDouble(browser.see("[data-testid=drawing]").getDomAttribute("data-per-m"));
        String before = band();

        new Actions(browser.driver())
                .clickAndHold(wall)
                .moveByOffset((int) Math.round(perM * 0.5), 0)
                .moveByOffset((int) Math.round(perM * 0.5), 3)
                .release()
                .perform();
        browser.await("for another band", d -> !band().equals(before));
        double stand = Double.parseDouble(stand());
        assertThat(stand).isBetween(3.9, 4.1);

        // The same by keys: ten centimetres a press.
        wall.sendKeys(Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        browser.await(
                "for twenty centimetres less", d -> Math.abs(Double.parseDouble(stand()) - (stand - 0.2)) < 0.001);
        browser.await("for the answer to it", d -> sentence().contains(String.format("rom %.2f m", stand - 0.2)));
        // 35 degrees and a ceiling of 2.7 m: that is said before where to chalk.
        assertThat(sentence())
                .startsWith("Mind: It does not fit here: the ball reaches")
                .contains("Under open sky, from");
        String now = sentence();
        browser.await("for the link", d -> d.getCurrentUrl().contains("standM=" + stand() + "&"));
        String link = browser.driver().getCurrentUrl();

        browser.open("/");
        browser.see("svg[aria-label^='Lane']");
        browser.driver().get(link);
        browser.await("for the same answer from the link", d -> sentence().equals(now));
        browser.choose("Units", "Feet and inches");
        browser.await(
                "for feet", d -> sentence().contains("rom 12 ft") && sentence().contains(" in"));
    }

    @Test
    void a_bad_value_is_named_at_its_field_and_nothing_drawn_is_lost() {
        browser.press("Net on a wall");
        browser.seeText("chalk that band");
        String before = sentence();
        WebElement height = browser.labelled("Net or hoop height");

        browser.type(height, "300");
        browser.seeText("Net or hoop height must be from 0 to 200");
        assertThat(height.getDomAttribute("aria-invalid")).isEqualTo("true");
        assertThat(sentence()).as("the last that fitted").isEqualTo(before);
        browser.type(height, "high");
        browser.seeText("Net or hoop height must be given");
        browser.type(height, "2.43");
        browser.await("for the new band", d -> !sentence().equals(before) && !browser.shows("[role=alert]"));
        browser.choose("Preset", "Volleyball, up to 10 years");
        browser.seeText("A preset to check against local rules.");
        assertThat(browser.labelled("Net or hoop height").getDomProperty("value"))
                .isEqualTo("2");
    }

    @Test
    void a_sheet_prints_on_the_chosen_paper_with_its_measures_and_without_the_controls() {
        browser.press("Back off the wall");
        browser.seeText("meets the wall at");
        browser.script("window.print = () => { window.printed = (window.printed || 0) + 1; }");
        browser.press("Print sheet");
        browser.choose("Paper", "Letter");
        browser.press("To the printer");
        browser.await("for the print", d -> Long.valueOf(1).equals(browser.script("return window.printed")));

        String letter = pdf();
        assertThat(box(letter)).as("8.5 x 11 in").isEqualTo("612 x 792");
        browser.press("Print sheet");
        browser.choose("Paper", "A4");
        browser.press("To the printer");
        browser.await("for the print", d -> Long.valueOf(2).equals(browser.script("return window.printed")));
        assertThat(box(pdf())).as("210 x 297 mm").isEqualTo("595 x 842");

        ((ChromeDriver) browser.driver()).executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", "print"));
        try {
            assertThat(browser.see("[data-testid=measures]").getText())
                    .contains("Line to throw from, from the wall", "3.00 m", "4 paces", "shoes");
            assertThat(browser.see("[aria-label='Marking-out sheet']").getText())
                    .contains("risk assessment", "The ball comes back fast");
            for (String control : new String[] {"nav", ".handle", "[aria-label=Ball]", "button"})
                assertThat(browser.shows(control)).as(control).isFalse();
        } finally {
            ((ChromeDriver) browser.driver()).executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", ""));
        }
    }

    @Test
    void throws_are_tapped_where_they_land_and_low_left_is_told_as_aim() {
        browser.press("Aim");
        browser.seeText("No throws yet");
        int[][] lands = {{-60, 60}, {-70, 75}, {-52, 66}, {-64, 50}, {-75, 58}, {-58, 80}};
        for (int i = 0; i < lands.length; i++) {
            int n = i + 1;
            tap("[data-testid=target]", lands[i][0], lands[i][1]);
            browser.see("[aria-label='Landing " + n + "']");
        }
        browser.seeText("always low and left");
        browser.seeText("Correct the aim");
        browser.press("Take back");
        browser.await("for five landings", d -> !browser.shows("[aria-label='Landing 6']"));
    }

    @Test
    void a_match_to_the_jack_says_who_plays_and_counts_the_end() {
        browser.press("Nearest the jack");
        browser.choose("Format", "Singles, 3 balls");
        browser.seeText("Blue, player 1, ball 1: they have the jack");
        tap("[data-testid=ground]", 40, 0);
        browser.seeText("Orange, player 1, ball 1: they are not nearest.");
        tap("[data-testid=ground]", -100, 20);
        browser.seeText("Orange, player 1, ball 2: they are not nearest.");
        tap("[data-testid=ground]", -20, 10);
        browser.seeText("Blue, player 1, ball 2: they are not nearest.");
        browser.press("End as it lies");
        browser.seeText("Orange have the jack in the next one");
        assertThat(browser.see("[data-testid=score]").getText()).containsSubsequence("0", "Blue", "1", "Orange");
        browser.press("Next end");
        browser.seeText("Orange, player 1, ball 1: they have the jack");
        assertThat(browser.see("[data-testid=ends]").getText()).contains("One point for each ball nearer");

        browser.seeText("Who plays, by name").click();
        browser.choose("Blue, captain", "Amaru T.");
        browser.choose("Orange, captain", "Cosmo V.");
        browser.seeText("Orange, Cosmo V., ball 1: they have the jack");
        browser.press("Keep it for 2 pupils");
        browser.seeText("On the pages of 2 pupils");
        String kept = browser.await("the address to say so", d -> {
            String at = d.getCurrentUrl();
            return at != null && at.contains("keptFor=2") ? at : null;
        });
        browser.open(kept.replaceAll("^https?://[^/]*", ""));
        browser.seeText("On the pages of 2 pupils");
    }

    @Test
    void the_umpire_taps_zones_and_is_told_what_runs() {
        browser.press("Bowling to a batter");
        browser.press("Above the head");
        browser.seeText("One running: bowl the safe one.");
        browser.choose("Bowler", "Cosmo V.");
        browser.seeText("inherited from the bowler before: Cosmo V.");
        browser.press("Wide behind");
        browser.seeText("the second running: half a score");
        browser.press("Fair");
        browser.seeText("A fair ball.");
        browser.seeText("1 half score given away.");
        browser.press("Keep it for 2 pupils");
        browser.seeText("On the pages of 2 pupils");
    }

    @Test
    void a_class_gets_its_gate_from_its_own_tries_and_a_caller_its_key() {
        browser.press("In a row, or so many of so many");
        browser.labelled("Rung").click();
        browser.see("[role=option]:nth-child(2)").click();
        browser.seeText("The gate that suits these");
        browser.seeText("The gate that suits each");
        browser.labelled("Who").click();
        browser.see("[role=option]:nth-child(2)").click();
        browser.seeText("counted tries went in here. By all tries on the ladder");

        browser.open("/marks/markers?mode=calls");
        assertThat(browser.see("[data-testid=call]").getText()).isEqualTo("ready");
        browser.keys("c");
        browser.await(
                "for a call", d -> !browser.see("[data-testid=call]").getText().equals("ready"));
        browser.seeText("1 of 24 called");
    }

    @Test
    void a_staircase_is_tapped_and_a_room_taken_from_the_store() {
        browser.press("Step by step");
        for (int i = 0; i < 2; i++) browser.press("Hit");
        browser.seeText("furthest held is step 1 (0.23 m or 1 shoe); next from step 2");
        browser.press("Miss");
        browser.seeText("next from step 1");
        browser.open("/marks/room");
        browser.choose("Space", "Net store");
        browser.choose("Task", "Wall serve, stepping back");
        browser.seeText("spots fit in rows (1 ×");
        browser.open("/marks/stations");
        browser.seeText("every group has been everywhere after 25:15, at 10:25 + 15 s");
    }

    private void tap(String css, int x, int y) {
        WebElement drawing = browser.see(css).findElement(org.openqa.selenium.By.xpath("ancestor::*[name()='svg']"));
        browser.script("arguments[0].scrollIntoView({block: 'center'})", drawing);
        new Actions(browser.driver()).moveToElement(drawing, x, y).click().perform();
    }

    private String stand() {
        return browser.labelled("Stand from the wall").getDomProperty("value");
    }

    private String sentence() {
        return browser.see("[data-testid=sentence]").getText();
    }

    private String band() {
        Matcher m = Pattern.compile("between (.*?): chalk").matcher(sentence());
        return m.find() ? m.group(1) : "";
    }

    private String pdf() {
        Object data = ((ChromeDriver) browser.driver())
                .executeCdpCommand("Page.printToPDF", Map.of("preferCSSPageSize", true, "printBackground", true))
                .get("data");
        return new String(Base64.getDecoder().decode((String) data), StandardCharsets.ISO_8859_1);
    }

    private static String box(String pdf) {
        Matcher m = Pattern.compile("/MediaBox \\[0 0 ([0-9.]+) ([0-9.]+)]").matcher(pdf);
        assertThat(m.find()).as("a page").isTrue();
        return Math.round(Double.parseDouble(m.group(1))) + " x " + Math.round(Double.parseDouble(m.group(2)));
    }
}
