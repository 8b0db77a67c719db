package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WindowType;
import org.unrulymarble.e2e.Lessons.Rung;
import tools.jackson.databind.JsonNode;

/** The stand-ins for devices: a pad counts a round at the wall, a gate times a course, a board shows both; lost and doubled words do no harm. */
@ExtendWith(OneBrowser.class)
class DeviceJourneyTest {

    private static Process standIns;
    private static String pages;

    private final Browser browser = OneBrowser.browser();
    private final Lessons lessons = new Lessons(browser);
    private final RunPage run = new RunPage(browser, lessons);
    private String runWindow;

    @BeforeAll
    static void serve() throws IOException {
        Path program = Path.of("..", "stand-ins", "devices", "serve.mjs").toAbsolutePath();
        standIns = new ProcessBuilder("node", program.toString(), "0")
                .redirectErrorStream(true)
                .start();
        String said =
                new BufferedReader(new InputStreamReader(standIns.getInputStream(), StandardCharsets.UTF_8)).readLine();
        assertThat(said).contains("http://localhost:");
        pages = said.replaceAll(".*(http://localhost:\\d+/).*", "$1");
    }

    @AfterAll
    static void stop() {
        standIns.destroy();
    }

    @BeforeEach
    void asTeacher() {
        browser.size(1280, 800);
        browser.signIn("okafor");
    }

    @Test
    void a_pad_counts_at_the_wall_a_gate_times_the_course_and_the_board_shows_it() {
        run.beginAnyhow(lessons.ofRungs(
                "Devices",
                List.of(new Rung("wall-and-back", "two-hands-bounce"), new Rung("weave-and-back", "on-the-clock"))));
        runWindow = browser.driver().getWindowHandle();
        toWorkOf(0);
        browser.press("Wall, more");
        browser.press("Pair devices");
        String code = browser.see("[data-testid=device-code]").getText();
        String address = browser.see("[data-testid=device-address]").getText();

        String pad = device("pad", "pad-2", address, code, 2);
        browser.press("Hit");
        browser.press("Hit");
        browser.seeText("2 counted");
        browser.press("Break the line");
        browser.press("Hit");
        browser.seeText("3 counted");
        browser.driver().switchTo().window(runWindow);
        String devices = browser.await("for the pad in the list", d -> {
            String said = browser.see("[data-testid=device]").getText();
            return said.contains("3 counted") ? said : null;
        });
        assertThat(devices).contains("Pad").contains("spot 2").contains("heard").contains("battery 80 %");
        assertThat(atSpot(0, 2).get("hits").intValue()).isEqualTo(3);

        String board = device("board", "board", address, code, 0);
        browser.await(
                "for the board to show spot 2",
                d -> browser.see("#counts").getText().replaceAll("\\s+", " ").contains("2 3"));
        assertThat(browser.see("body").getText()).contains("Wall and back").doesNotContain("Amaru");

        browser.driver().switchTo().window(runWindow);
        browser.keys(Keys.ESCAPE);
        assertThat(browser.see("section[data-block]").getText())
                .as("seen in the run without a pad on screen")
                .containsPattern("2\\s+\\S+ \\S+\\s+3");
        toWorkOf(1);
        String gate = device("gate", "gate-1", address, code, 1);
        browser.press("Through the start");
        browser.seeText("1 counted");
        browser.press("Through the finish");
        browser.seeText("2 counted");
        browser.driver().switchTo().window(runWindow);
        assertThat(atSpot(1, 1).at("/detail/timeMs").longValue()).isBetween(1L, 60_000L);

        browser.press("Wall, more");
        browser.await(
                "for all three",
                d -> d.findElements(By.cssSelector("[data-testid=device]")).size() == 3);
        browser.press("Hear no device any more");
        browser.see("section[aria-labelledby=devices]");
        browser.seeText("Pair devices");
        browser.driver().switchTo().window(pad);
        browser.seeText("Not understood: code");
        for (String window : List.of(pad, board, gate))
            browser.driver().switchTo().window(window).close();
        browser.driver().switchTo().window(runWindow);
        browser.keys(Keys.ESCAPE);
        run.finish();
    }

    /** Opens a stand-in's page in a window of its own and pairs it. */
    private String device(String page, String device, String address, String code, int spot) {
        browser.driver().switchTo().newWindow(WindowType.TAB);
        browser.size(1280, 800);
        browser.driver()
                .get(pages + "device.html?kind=" + page + "&device=" + device + "&code=" + code + "&spot=" + spot
                        + "&address=" + URLEncoder.encode(address, StandardCharsets.UTF_8));
        browser.press("Pair");
        browser.seeText(spot == 0 ? "Paired." : "Paired, spot " + spot);
        return browser.driver().getWindowHandle();
    }

    /** To the first round of a block. */
    private void toWorkOf(int block) {
        JsonNode segment = StreamSupport.stream(
                        run.run().at("/sheet/script/segments").spliterator(), false)
                .filter(x -> x.get("block").intValue() == block
                        && x.get("kind").stringValue().equals("WORK"))
                .findFirst()
                .orElseThrow();
        run.jumpTo(segment.get("index").intValue());
        browser.await("to be at work", d -> browser.see("header").getText().contains("Work"));
    }

    /** The result of whoever works at a spot, from 1, in the first turn of a block. */
    private JsonNode atSpot(int block, int spot) {
        JsonNode now = run.run();
        String pupil = StreamSupport.stream(
                        now.at("/sheet/script/blocks/" + block + "/turns/0/crews")
                                .spliterator(),
                        false)
                .filter(crew -> crew.get("spot").intValue() == spot - 1)
                .findFirst()
                .orElseThrow()
                .at("/workers/0")
                .stringValue();
        return StreamSupport.stream(now.at("/state/results").spliterator(), false)
                .filter(r -> r.get("pupilId").stringValue().equals(pupil)
                        && now.at("/sheet/script/segments/" + r.get("segment").intValue() + "/block")
                                        .intValue()
                                == block)
                .findFirst()
                .orElseThrow();
    }
}
