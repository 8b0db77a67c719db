package org.unrulymarble.e2e.bench;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import org.unrulymarble.e2e.Browser;
import org.unrulymarble.e2e.MarbleServer;

/** Measures what the issues put numbers on: bundle, start, a change of the plan as seen on screen, saves before kill -9. Bounded. */
public final class ServerBench {

    /** All of it holds in so much. */
    private static final String HEAP = "512m";

    private static final Set<String> PARTS = new TreeSet<>(List.of(
            "bundle", "starts", "plan", "drags", "findings", "clock", "pads", "load", "load-kills", "kills", "school"));
    /** As teachers search: in their own words, begun, in the plural, mistyped. */
    private static final List<String> SEARCHED = List.of(
            "two hands wall",
            "warm-up",
            "pivot",
            "slalm",
            "goalkeeper",
            "keepy uppy",
            "around the waist",
            "juggle",
            "figure of eight",
            "volleyball",
            "hockey sticks",
            "crossover",
            "obstacle course",
            "boules",
            "fast hands",
            "ballon");

    private static final int KILLS = 20;
    private static final int CHANGES = 40;

    /** @param args parts to measure; all without any */
    public static void main(String[] args) throws IOException, InterruptedException, SQLException {
        Set<String> parts = args.length == 0 ? PARTS : Set.of(args);
        if (!PARTS.containsAll(parts)) throw new IllegalArgumentException("parts are " + PARTS);
        Path app = Path.of(System.getProperty("marble.app"));
        if (parts.contains("bundle")) bundle();
        if (parts.contains("starts")) {
            starts("from the jar as it is", null);
            starts("as ./marble starts it", app);
        }
        if (parts.contains("school")) SchoolBench.run(app);
        if (parts.equals(Set.of("school"))) System.exit(0);
        // Work is measured on the server that a teacher gets: with both compilers.
        try (MarbleServer server = new MarbleServer(true, app).heap(HEAP).start();
                Browser browser = new Browser().at(server.address())) {
            browser.signIn("okafor");
            if (parts.contains("plan")) planChanges(browser);
            if (parts.contains("drags")) drags(browser);
            if (parts.contains("findings")) findings(server, browser);
            if (parts.contains("pads")) PadBench.run(browser);
            if (parts.contains("clock")) ClockRun.run(browser);
            if (parts.contains("load") || parts.contains("load-kills"))
                new LoadBench(server).run(parts.contains("load-kills"));
            if (parts.contains("kills")) {
                browser.open("/");
                browser.press("Open the plan");
                browser.see("[data-testid=total]");
                kills(server, browser);
            }
        }
        System.exit(0);
    }

    /** Script of the first view: what index.html names, gzipped. */
    private static void bundle() throws IOException {
        Path dist = Path.of("../web/dist");
        if (!Files.isDirectory(dist)) dist = Path.of("web/dist");
        Matcher scripts = Pattern.compile("/assets/[^\"]+\\.js").matcher(Files.readString(dist.resolve("index.html")));
        long bytes = 0;
        while (scripts.find()) bytes += gzipped(dist.resolve(scripts.group().substring(1)));
        long all = 0;
        try (Stream<Path> files = Files.list(dist.resolve("assets"))) {
            for (Path f : files.filter(p -> p.toString().endsWith(".js")).toList()) all += gzipped(f);
        }
        say(
                "script of the first view, gzipped: %d kB (wanted: at most 160); of all views: %d kB",
                bytes / 1000, all / 1000);
    }

    private static long gzipped(Path file) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
            Files.copy(file, gzip);
        }
        return out.size();
    }

    private static void starts(String how, Path unpacked) {
        List<Double> sec = new ArrayList<>();
        MarbleServer server = new MarbleServer(true, unpacked).start();
        server.close();
        for (int i = 0; i < 5; i++) {
            long from = System.nanoTime();
            server.start();
            sec.add((System.nanoTime() - from) / 1e9);
            server.close();
        }
        say("ready %s, data there already: %s s (wanted: at most 10)", how, spread(sec));
    }

    /** From the key in the field to the new clock on the screen, with the demo's lesson. */
    private static void planChanges(Browser browser) {
        browser.press("Open the plan");
        browser.press("Wall serve, stepping back");
        browser.see("[aria-label='Work, s']");
        List<Double> ms = new ArrayList<>();
        for (int i = 0; i < CHANGES; i++) {
            Object took =
                    ((org.openqa.selenium.JavascriptExecutor) browser.driver()).executeAsyncScript("""
                            const done = arguments[arguments.length - 1];
                            const field = document.querySelector("[aria-label='Work, s']");
                            const total = document.querySelector('[data-testid=total]');
                            const from = performance.now();
                            new MutationObserver((_, o) => { o.disconnect(); requestAnimationFrame(() => done(performance.now() - from)); })
                              .observe(total, {characterData: true, subtree: true, childList: true});
                            Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, String(arguments[0]));
                            field.dispatchEvent(new Event('input', {bubbles: true}));
                            """, 45 + i % 2 * 5);
            ms.add(((Number) took).doubleValue());
        }
        say("a changed dose, from key to new clock on screen: %s ms (wanted: 150)", spread(ms.subList(5, ms.size())));
    }

    /** From the pointer's move over the wall's handle to the new band on the screen. */
    private static void drags(Browser browser) {
        browser.open("/marks/net");
        browser.seeText("chalk that band");
        List<Double> ms = new ArrayList<>();
        for (int i = 0; i < CHANGES; i++) {
            Object took = ((org.openqa.selenium.JavascriptExecutor) browser.driver())
                    .executeAsyncScript("""
                            const done = arguments[arguments.length - 1];
                            const handle = document.querySelector("[aria-label='Place of the wall']");
                            handle.setPointerCapture = () => {};
                            const box = handle.getBoundingClientRect();
                            const at = {x: box.left + box.width / 2, y: box.top + box.height / 2};
                            const send = (type, x) => handle.dispatchEvent(new PointerEvent(type, {bubbles: true, pointerId: 1, clientX: x, clientY: at.y}));
                            const said = document.querySelector('[data-testid=sentence]');
                            send('pointerdown', at.x);
                            const from = performance.now();
                            new MutationObserver((_, o) => { o.disconnect(); requestAnimationFrame(() => { send('pointerup', at.x); done(performance.now() - from); }); })
                              .observe(said, {characterData: true, subtree: true, childList: true});
                            send('pointermove', at.x + arguments[0]);
                            """, i % 2 == 0 ? 13 + i : -13 - i);
            ms.add(((Number) took).doubleValue());
        }
        say(
                "a drag, from the pointer's move to the new band on screen: %s ms (wanted: 100)",
                spread(ms.subList(5, ms.size())));
    }

    /** A lesson of twelve blocks for thirty-two pupils, worked out with all its findings: from the question to the answer. */
    private static void findings(MarbleServer server, Browser browser) throws IOException, InterruptedException {
        StringBuilder pupils = new StringBuilder();
        for (int i = 0; i < 32; i++)
            pupils.append(i == 0 ? "" : ",")
                    .append("{\"id\":null,\"details\":{\"firstName\":\"P%d\",\"initial\":\"X\",\"birthYear\":2015%s}}"
                            .formatted(i, i % 8 == 0 ? ",\"adaptations\":[\"SEATED\"]" : ""));
        String classId = id(browser.request(
                "POST", "/api/classes", "{\"version\":null,\"name\":\"Bench\",\"pupils\":[%s]}".formatted(pupils)));
        String spaces = (String) browser.request("GET", "/api/spaces", null).get("body");
        Matcher corridor = Pattern.compile("\"id\":\"([^\"]+)\",\"version\":\\d+,\"name\":\"Cloakroom")
                .matcher(spaces);
        if (!corridor.find()) throw new IllegalStateException(spaces);
        String[][] tasks = {
            {"wake-the-joints", "top-down"}, {"wall-and-back", "same-hand"}, {"two-ball-drum", "together"},
            {"low-and-loud-dribble", "knee-high"}, {"wall-serve-stepping-back", "near-line"}, {"v-drag", "short-v"},
            {"stick-wall-ball", "on-the-full"}, {"claps-and-turns", "three-claps"}, {"sock-bullseye", "big-ring"},
            {"roll-to-length", "one-length"}, {"lateral-pass", "small-ball"}, {"wind-down", "standing-holds"}
        };
        StringBuilder blocks = new StringBuilder();
        for (int i = 0; i < tasks.length; i++)
            blocks.append(i == 0 ? "" : ",").append("""
                    {"id":"b%d","ladderId":"%s","rungId":"%s","dose":{"type":"GATE","limitSec":60},"sets":2,"sides":"EACH","setupSec":20,
                    "explainSec":25,"countInSec":5,"sideSwapSec":5,"turnSwapSec":10,"restSec":20,"waitIsRest":true,"counted":true}""".formatted(i, tasks[i][0], tasks[i][1]));
        String lesson = """
                {"version":null,"classId":"%s","spaceId":"%s","name":"Bench","onDay":"2026-12-01","lesson":{"minutes":60,"audience":"CLASS",
                "restRule":"BETWEEN_SETS","transitionSec":30,"blocks":[%s]}}""".formatted(classId, corridor.group(1), blocks);
        String path = "/api/lessons/" + id(browser.request("POST", "/api/lessons", lesson));
        List<Double> ms = new ArrayList<>();
        int found = times(server, browser, path, 10 * CHANGES, ms).split("\"code\":").length - 1;
        say(
                "twelve blocks for 32 pupils with %d findings, asked and answered: %s ms warm (wanted: 50 on the server); the first %d: %s ms",
                found, spread(ms.subList(7 * CHANGES, ms.size())), CHANGES, spread(ms.subList(0, CHANGES)));
        List<Double> fits = new ArrayList<>();
        String where = "classId=" + classId + "&spaceId=" + corridor.group(1) + "&startMin=600";
        times(server, browser, "/api/fits?" + where, 4 * CHANGES, fits);
        List<Double> searches = new ArrayList<>();
        for (String words : SEARCHED)
            times(server, browser, "/api/ladders/search?words=" + words.replace(' ', '+'), CHANGES / 4, searches);
        say(
                "what fits here, all ladders for 32 pupils: %s ms, the first %d: %s ms (wanted: 100); searches for %d words: %s ms (wanted: 30)",
                spread(fits.subList(CHANGES, fits.size())),
                CHANGES,
                spread(fits.subList(0, CHANGES)),
                SEARCHED.size(),
                spread(searches.subList(searches.size() / 4, searches.size())));
    }

    /** Asks so often, without the browser, which would take half the machine; answers the last body. */
    private static String times(MarbleServer server, Browser browser, String path, int often, List<Double> ms)
            throws IOException, InterruptedException {
        String session = browser.driver().manage().getCookieNamed("MARBLE").getValue();
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest ask = HttpRequest.newBuilder(URI.create(server.address() + path))
                .header("Cookie", "MARBLE=" + session)
                .build();
        String body = "";
        for (int i = 0; i < often; i++) {
            long from = System.nanoTime();
            HttpResponse<String> answer = client.send(ask, HttpResponse.BodyHandlers.ofString());
            ms.add((System.nanoTime() - from) / 1e6);
            if (answer.statusCode() != 200) throw new IllegalStateException(path + ": " + answer.statusCode());
            body = answer.body();
        }
        return body;
    }

    private static String id(Map<String, Object> answer) {
        Matcher id = Pattern.compile("\"id\":\"([^\"]+)\"").matcher((String) answer.get("body"));
        if (!id.find()) throw new IllegalStateException("not made: " + answer);
        return id.group(1);
    }

    /** Saves a lesson's name, kills the server right after the answer, starts it again and looks. */
    private static void kills(MarbleServer server, Browser browser) throws IOException {
        String url = browser.driver().getCurrentUrl();
        String path = "/api/lessons/" + url.substring(url.lastIndexOf('/') + 1);
        int lost = 0;
        for (int i = 0; i < KILLS; i++) {
            String before = (String) browser.request("GET", path, null).get("body");
            String name = "Killed " + i;
            Map<String, Object> answer = browser.request(
                    "PUT", path, before.replaceFirst("\"name\":\"[^\"]*\"", "\"name\":\"" + name + "\""));
            if (!Long.valueOf(200).equals(answer.get("status")))
                throw new IllegalStateException("not saved: " + answer);
            server.kill().start();
            String after = (String) browser.request("GET", path, null).get("body");
            if (!after.contains("\"name\":\"" + name + "\"")) lost++;
        }
        say("acknowledged saves lost in %d kills -9: %d (wanted: 0)", KILLS, lost);
        say("the demo's store after that: %d kB", Files.size(server.data().resolve("demo.mv.db")) / 1000);
    }

    private static String spread(List<Double> values) {
        double[] sorted = values.stream().mapToDouble(v -> v).sorted().toArray();
        return String.format(
                Locale.ENGLISH,
                "median %.1f, least %.1f, most %.1f of %d",
                sorted[sorted.length / 2],
                sorted[0],
                Arrays.stream(sorted).max().orElseThrow(),
                sorted.length);
    }

    private static void say(String text, Object... figures) {
        System.out.printf(Locale.ENGLISH, text + "%n", figures);
    }

    private ServerBench() {}
}
