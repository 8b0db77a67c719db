package org.unrulymarble.e2e;

import java.util.UUID;
import org.openqa.selenium.Keys;
import tools.jackson.databind.JsonNode;

/** The hand face of a run, as a teacher works it. */
final class RunPage {

    private final Browser browser;
    private final Lessons lessons;

    RunPage(Browser browser, Lessons lessons) {
        this.browser = browser;
        this.lessons = lessons;
    }

    void begin(String lessonId) {
        browser.open("/plan/" + lessonId);
        browser.press("Run it");
        browser.press("Go");
    }

    /** Begins without the questions that a plan past the bell asks. */
    void beginAnyhow(String lessonId) {
        Object made = browser.request("POST", "/api/runs", "{\"lessonId\":\"" + lessonId + "\"}")
                .get("body");
        browser.open("/run/" + lessons.read((String) made).get("id").stringValue());
        browser.press("Go");
    }

    /** Skips to the work of a turn. */
    void toWork(int turn) {
        browser.await("to come to work", d -> {
            String face = browser.see("header").getText();
            if (face.contains("Work") && face.contains("turn " + turn)) return true;
            browser.keys(Keys.ARROW_RIGHT);
            return null;
        });
    }

    /** As another screen of the run would jump. */
    void jumpTo(int segment) {
        browser.request("POST", "/api/runs/events", """
                {"runId":"%s","events":[{"id":"%s","atMs":%d,"device":"other","what":{"type":"NEXT","segment":%d,"offsetMs":0}}]}""".formatted(
                        id(), idOf(System.currentTimeMillis()), System.currentTimeMillis(), segment));
    }

    /** A hit that another screen of the run taps. */
    void tapElsewhere(int segment, String pupilId) {
        browser.request("POST", "/api/runs/events", """
                {"runId":"%s","events":[{"id":"%s","atMs":%d,"device":"other","what":{"type":"TAPPED","segment":%d,"take":1,
                "pupilId":"%s","tap":{"type":"HIT","number":null}}}]}""".formatted(
                        id(), idOf(System.currentTimeMillis()), System.currentTimeMillis(), segment, pupilId));
    }

    private static UUID idOf(long ms) {
        return new UUID(ms << 16 | 0x7fff, UUID.randomUUID().getLeastSignificantBits());
    }

    String hits() {
        return browser.see("[data-testid=hits]").getText();
    }

    String unsent() {
        return browser.see("[data-testid=unsent]").getText();
    }

    void awaitSent() {
        browser.await("for all to be sent", d -> unsent().equals("All saved"));
    }

    void finish() {
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    String id() {
        return browser.driver().getCurrentUrl().replaceAll(".*/", "");
    }

    JsonNode run() {
        return lessons.get("/api/runs/" + id());
    }
}
