package org.unrulymarble.e2e.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.openqa.selenium.WindowType;
import org.unrulymarble.e2e.Browser;

/**
 * How far calls are from their second, on the audio clock of the browser, over more than five minutes of a lesson: while nothing else happens,
 * while the page is busy for 300 ms now and then, and while another tab covers it.
 */
final class ClockRun {

    private static final int PHASE_SEC = 110;

    private ClockRun() {}

    static void run(Browser browser) {
        browser.open("/");
        browser.press("Open the plan");
        browser.press("Run it");
        browser.see("header [role=timer]");
        browser.script("""
                window.heard = [];
                const start = OscillatorNode.prototype.start;
                OscillatorNode.prototype.start = function (when) {
                  const context = this.context;
                  const at = when;
                  const due = performance.getEntriesByName('marble-call').at(-1).detail;
                  start.call(this, when);
                  // Looked at again when it sounds, so that a drift of the audio clock in between is seen. One reading of the
                  // two clocks may be off by a buffer: the middle of the last few counts.
                  window.readings ??= [];
                  window.reader ??= setInterval(() => {
                    const stamp = context.getOutputTimestamp();
                    if (stamp.performanceTime && stamp.contextTime > 0.5) window.readings.push(stamp.performanceTime - stamp.contextTime * 1000);
                    if (window.readings.length > 25) window.readings.shift();
                  }, 100);
                  setTimeout(() => {
                    const middle = [...window.readings].sort((a, b) => a - b)[Math.floor(window.readings.length / 2)];
                    const perf = middle !== undefined ? middle + at * 1000
                      : performance.now() + (at - context.currentTime) * 1000;
                    window.heard.push(performance.timeOrigin + perf - due);
                  }, Math.max(0, (at - context.currentTime) * 1000));
                };
                """);
        browser.press("Go");
        phase("calm", browser, () -> {});
        browser.script(
                "window.busy = setInterval(() => { const to = performance.now() + 300; while (performance.now() < to); }, 5300);");
        phase("busy for 300 ms every 5 s", browser, () -> {});
        browser.script("clearInterval(window.busy)");
        phase("behind another tab", browser, () -> {
            String hand = browser.driver().getWindowHandle();
            browser.driver().switchTo().newWindow(WindowType.TAB);
            wait(PHASE_SEC - 10);
            browser.driver().close();
            browser.driver().switchTo().window(hand);
        });
        browser.press("Finish");
        browser.press("Finish and record");
        browser.see("[data-testid=recorded]");
    }

    /** Each call was due when its place in the lesson said so, by the clock of the run; it is heard when the audio clock comes to it. */
    @SuppressWarnings("unchecked")
    private static void phase(String how, Browser browser, Runnable meanwhile) {
        browser.script("window.heard.length = 0");
        long from = System.nanoTime();
        meanwhile.run();
        wait((int) (PHASE_SEC - TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - from)));
        List<Double> off = new ArrayList<>();
        for (Object ms : (List<Object>) browser.script("return window.heard"))
            off.add(Math.abs(((Number) ms).doubleValue()));
        Collections.sort(off);
        if (off.isEmpty()) throw new IllegalStateException("no call was heard: " + how);
        System.out.printf(
                Locale.ENGLISH,
                "calls from their second, %s: median %.1f, p95 %.1f, most %.1f ms of %d (wanted: at most 20)%n",
                how,
                off.get(off.size() / 2),
                off.get((int) (off.size() * 0.95)),
                off.get(off.size() - 1),
                off.size());
    }

    private static void wait(int sec) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(Math.max(0, sec));
        while (System.nanoTime() < until) LockSupport.parkNanos(until - System.nanoTime());
    }
}
