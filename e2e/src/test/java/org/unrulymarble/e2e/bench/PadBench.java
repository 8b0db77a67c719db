package org.unrulymarble.e2e.bench;

import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.unrulymarble.e2e.Browser;

/** How many frames of the browser a tap takes to its changed number, with twelve pads open. */
final class PadBench {

    private static final int PADS = 12;
    private static final int TAPS = 80;

    private PadBench() {}

    static void run(Browser browser) {
        browser.open("/");
        String runId = (String) browser.script("""
                const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);
                const call = async (method, path, body) => (await fetch('/api' + path, {method,
                  headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token}, body: body && JSON.stringify(body)})).json();
                const all = await call('GET', '/lessons');
                const one = await call('GET', '/lessons/' + all[0].id);
                const block = {id: 'pads', ladderId: 'claps-and-turns', rungId: 'half-turn', modifiers: [],
                  dose: {type: 'CLOCK', workSec: 600}, sets: 1, sides: 'FIRST_ONLY', setupSec: 0, explainSec: 0, countInSec: 0,
                  sideSwapSec: 0, turnSwapSec: 0, restSec: 0, waitIsRest: true, counted: true};
                const made = await call('POST', '/lessons', {version: null, classId: one.classId, spaceId: one.spaceId,
                  name: 'Twelve pads', onDay: one.onDay, lesson: {...one.lesson, blocks: [block]}});
                const run = await call('POST', '/runs', {lessonId: made.id});
                const watched = run.sheet.script.blocks[0].turns[0].crews.slice(0, %d).map(c => c.workers[0]);
                localStorage.setItem('marble.watched.' + run.id, JSON.stringify(watched));
                return run.id;
                """.formatted(PADS));
        browser.open("/run/" + runId);
        browser.press("Go");
        browser.await(
                "for twelve pads",
                d -> d.findElements(org.openqa.selenium.By.cssSelector("[data-testid=hits]"))
                                .size()
                        == PADS);
        @SuppressWarnings("unchecked")
        Map<String, List<Number>> seen = (Map<String, List<Number>>) browser.script("""
                const frames = [], ms = [], keys = 'qwertyuiozxc';
                const frame = () => new Promise(requestAnimationFrame);
                for (let i = 0; i < %d; i++) {
                  const pad = document.querySelectorAll('[data-testid=hits]')[i %% %d];
                  const before = pad.textContent;
                  await frame();
                  const from = performance.now();
                  window.dispatchEvent(new KeyboardEvent('keydown', {key: keys[i %% %d]}));
                  let n = 0;
                  do { await frame(); n++; } while (pad.textContent === before && n < 120);
                  frames.push(n);
                  ms.push(performance.now() - from);
                  for (let k = 0; k < 5; k++) await frame();
                }
                return {frames, ms};
                """.formatted(TAPS, PADS, PADS));
        List<Double> ms = sorted(seen.get("ms"));
        List<Double> frames = sorted(seen.get("frames"));
        System.out.printf(
                Locale.ENGLISH,
                "tap to changed number, %d pads: median %.0f frames (most %.0f of %d), %.0f ms (%.0f to %.0f) (wanted: two frames)%n",
                PADS,
                frames.get(TAPS / 2),
                frames.get(TAPS - 1),
                TAPS,
                ms.get(TAPS / 2),
                ms.get(0),
                ms.get(TAPS - 1));
    }

    private static List<Double> sorted(List<Number> numbers) {
        List<Double> out = new java.util.ArrayList<>(
                numbers.stream().map(Number::doubleValue).toList());
        Collections.sort(out);
        return out;
    }
}
