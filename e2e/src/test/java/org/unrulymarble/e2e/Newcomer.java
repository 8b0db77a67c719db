package org.unrulymarble.e2e;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.openqa.selenium.Keys;

/** Somebody at the browser whose presses, keys and screens are counted; nothing is done that is not. */
final class Newcomer {

    /** How long a press, a key and a new screen to read take a newcomer. Source: usual figures of the keystroke-level model, as this house set them. */
    private static final double PRESS_SEC = 2.65;

    private static final double KEY_SEC = 0.28;
    private static final double SCREEN_SEC = 1.35;

    private final Browser browser;
    private int presses;
    private int keys;
    private int screens;

    Newcomer(Browser browser) {
        this.browser = browser;
    }

    void opens(String path) {
        browser.open(path);
        screens++;
    }

    void press(String words) {
        browser.press(words);
        presses++;
    }

    /** One press that was made in another way. */
    void pressed() {
        presses++;
    }

    /** Types where the focus is: a letter, a digit, a Tab, an Enter is a key each. */
    void types(CharSequence... some) {
        browser.keys(some);
        for (CharSequence s : some) keys += s instanceof Keys ? 1 : s.length();
    }

    /** Reads a new screen, told by some of its words. */
    void reads(String words) {
        browser.seeText(words);
        screens++;
    }

    int presses() {
        return presses;
    }

    int keys() {
        return keys;
    }

    double seconds() {
        return presses * PRESS_SEC + keys * KEY_SEC + screens * SCREEN_SEC;
    }

    String told() {
        return "%d presses, %d keys, %d screens: %.0f s".formatted(presses, keys, screens, seconds());
    }

    /** The one-time code stands in the window where the server was started. */
    static String code(MarbleServer server) {
        Matcher code = Pattern.compile("one-time code: (\\w+)").matcher(server.printed());
        if (!code.find()) throw new AssertionError("no code in " + server.printed());
        return code.group(1);
    }
}
