package org.unrulymarble.e2e.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.unrulymarble.e2e.MarbleServer;

/** Forty runs at once, twelve taps a second each, for a minute; then the same beside proposals, and while the server is killed twenty times. Bounded. */
final class LoadBench {

    private static final int RUNS = 40;
    private static final int TAPS_A_SEC = 12;
    private static final int SEC = 60;
    private static final int KILLS = 20;
    private static final int FACED = 100;
    private static final Pattern ID = Pattern.compile("\"id\":\"([^\"]+)\"");

    private static final String LESSON = """
            {"minutes":40,"audience":"CLASS","restRule":"BETWEEN_SETS","transitionSec":30,
            "blocks":[{"id":"b1","ladderId":"wall-and-back","rungId":"two-hands-bounce","dose":{"type":"CLOCK","workSec":60},"sets":3,"sides":"EACH",
            "setupSec":20,"explainSec":25,"countInSec":5,"sideSwapSec":5,"turnSwapSec":10,"restSec":20,"waitIsRest":true,"counted":true}]}""";

    private final MarbleServer server;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final List<Device> devices = new ArrayList<>();
    private String lessonId;

    LoadBench(MarbleServer server) {
        this.server = server;
    }

    /** @param kills also with the server killed again and again */
    void run(boolean kills) throws IOException, InterruptedException {
        send("GET", "/api/session", null);
        send("POST", "/api/session", "{\"username\":\"okafor\",\"password\":\"okafor-demo\"}");
        begin();
        faces("alone");
        // A lesson's worth of taps before it is measured: the server has just been started.
        taps(0);
        say("%d runs at once, the first %d s after the start: %s ms", RUNS, SEC, spread(latencies()));
        devices.forEach(d -> d.ackedAfterMs.clear());
        taps(0);
        say(
                "%d runs, %d taps/s each for %d s, acknowledged: %s ms (wanted: p95 below 50)",
                RUNS, TAPS_A_SEC, SEC, spread(latencies()));
        // A lesson goes on: by then the compiler has done most of its work.
        devices.forEach(d -> d.ackedAfterMs.clear());
        taps(0);
        say("the same in the third minute: %s ms", spread(latencies()));
        faces("just after it");
        proposals();
        if (!kills) return;
        devices.forEach(d -> d.ackedAfterMs.clear());
        taps(KILLS);
        int lost = 0;
        int doubled = 0;
        int sent = 0;
        for (Device d : devices) {
            List<String> kept = logOf(d.runId);
            Set<String> once = new HashSet<>(kept);
            doubled += kept.size() - once.size();
            for (String id : d.acknowledged) if (!once.contains(id)) lost++;
            sent += d.acknowledged.size();
        }
        say(
                "the same with %d kills -9: %d events acknowledged, lost %d, doubled %d (wanted: 0 and 0); waited: %s ms",
                KILLS, sent, lost, doubled, spread(latencies()));
    }

    /** A colleague has lessons proposed, stations and proof and all, one after the other, while forty classes tap: does the memory hold, and who waits? */
    private void proposals() throws InterruptedException {
        devices.forEach(d -> d.ackedAfterMs.clear());
        List<Double> tookMs = Collections.synchronizedList(new ArrayList<>());
        List<String> refused = Collections.synchronizedList(new ArrayList<>());
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SEC);
        Thread colleague = new Thread(
                () -> {
                    while (System.nanoTime() < end) {
                        long from = System.nanoTime();
                        try {
                            HttpResponse<String> answer = send(
                                    "POST",
                                    "/api/lessons/" + lessonId + "/proposed",
                                    "{\"lesson\":" + LESSON + ",\"wanted\":{},\"soon\":false}",
                                    60);
                            if (answer.statusCode() != 200) refused.add(answer.body());
                        } catch (IOException | InterruptedException e) {
                            refused.add(e.toString());
                        }
                        tookMs.add((System.nanoTime() - from) / 1e6);
                    }
                },
                "colleague");
        colleague.start();
        taps(0);
        colleague.join();
        Collections.sort(tookMs);
        say(
                "the same while lessons are proposed: taps %s ms; proposals %s ms; refused %d %s",
                spread(latencies()),
                spread(tookMs),
                refused.size(),
                refused.stream().limit(1).toList());
    }

    /** A lesson and its run for each device; one task, everybody alone. */
    private void begin() throws IOException, InterruptedException {
        String classId = first("/api/classes", "Turnstone 6");
        String spaceId = first("/api/spaces", "Rope yard");
        for (int i = 0; i < RUNS; i++) {
            String lesson =
                    "{\"version\":null,\"classId\":\"%s\",\"spaceId\":\"%s\",\"name\":\"Load %d\",\"onDay\":\"2026-12-01\",\"lesson\":%s}"
                            .formatted(classId, spaceId, i, LESSON);
            String made = send("POST", "/api/lessons", lesson).body();
            lessonId = id(made);
            String run = send("POST", "/api/runs", "{\"lessonId\":\"" + lessonId + "\"}")
                    .body();
            Matcher crew = Pattern.compile("\"workers\":\\[\"([^\"]+)\"").matcher(run);
            if (!crew.find()) throw new IllegalStateException(run);
            int segment = segmentOfWork(run);
            devices.add(new Device(id(run), segment, crew.group(1)));
        }
    }

    private static int segmentOfWork(String run) {
        Matcher segment = Pattern.compile("\\{[^{}]*\"kind\":\"WORK\"[^{}]*\\}").matcher(run);
        if (!segment.find()) throw new IllegalStateException("no round");
        Matcher index = Pattern.compile("\"index\":(\\d+)").matcher(segment.group());
        if (!index.find()) throw new IllegalStateException(segment.group());
        return Integer.parseInt(index.group(1));
    }

    /** From a tap that one face sends to its coming to another face of the same run. */
    private void faces(String when) throws IOException, InterruptedException {
        String runId = devices.get(0).runId;
        Map<String, Long> heardAt = new ConcurrentHashMap<>();
        CompletableFuture<HttpResponse<Stream<String>>> other = client.sendAsync(
                HttpRequest.newBuilder(URI.create(server.address() + "/api/runs/" + runId + "/stream"))
                        .build(),
                HttpResponse.BodyHandlers.ofLines());
        Thread listens = new Thread(
                () -> other.join().body().forEach(line -> {
                    long now = System.nanoTime();
                    Matcher ids = ID.matcher(line);
                    while (ids.find()) heardAt.putIfAbsent(ids.group(1), now);
                }),
                "face");
        listens.setDaemon(true);
        listens.start();
        List<Double> ms = new ArrayList<>();
        for (int i = 0; i < FACED; i++) {
            String id = newId();
            long from = System.nanoTime();
            send(
                    "POST",
                    "/api/runs/events",
                    "{\"runId\":\"" + runId + "\",\"events\":[" + hit(id, devices.get(0)) + "]}");
            while (!heardAt.containsKey(id)) LockSupport.parkNanos(200_000);
            ms.add((heardAt.get(id) - from) / 1e6);
        }
        Collections.sort(ms);
        say("from one face's tap to the other face, %s: %s ms (wanted: within 250)", when, spread(ms));
    }

    /** As a tablet makes them: version 7, which begins with the time, so that what is tapped together lies together in the store. */
    private static String newId() {
        UUID random = UUID.randomUUID();
        long high = System.currentTimeMillis() << 16 | 0x7000 | random.getMostSignificantBits() & 0xFFF;
        return new UUID(high, random.getLeastSignificantBits()).toString();
    }

    private static String hit(String id, Device d) {
        return """
                {"id":"%s","atMs":1,"device":"bench","what":{"type":"TAPPED","segment":%d,"take":1,"pupilId":"%s","tap":{"type":"HIT"}}}""".formatted(id, d.segment, d.pupilId);
    }

    private void taps(int kills) throws InterruptedException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SEC);
        CountDownLatch done = new CountDownLatch(devices.size());
        for (Device d : devices)
            new Thread(
                            () -> {
                                d.tap(end);
                                done.countDown();
                            },
                            "device")
                    .start();
        Random random = new Random(20);
        for (int i = 0; i < kills; i++) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(500 + random.nextInt(1500)));
            server.kill().start();
        }
        if (!done.await(10, TimeUnit.MINUTES)) throw new IllegalStateException("taps were left over");
    }

    /** A tablet: taps wait until they are acknowledged, and are sent again for as long as that takes. */
    private final class Device {
        private final String runId;
        private final int segment;
        private final String pupilId;
        private final Queue<Tap> waiting = new ConcurrentLinkedQueue<>();
        private final List<Double> ackedAfterMs = Collections.synchronizedList(new ArrayList<>());
        private final List<String> acknowledged = new ArrayList<>();

        Device(String runId, int segment, String pupilId) {
            this.runId = runId;
            this.segment = segment;
            this.pupilId = pupilId;
        }

        void tap(long end) {
            long next = System.nanoTime() + (long) (Math.random() * 1e9 / TAPS_A_SEC);
            while (System.nanoTime() < end || !waiting.isEmpty()) {
                while (next <= System.nanoTime() && next < end) {
                    waiting.add(new Tap(newId(), next));
                    next += 1_000_000_000L / TAPS_A_SEC;
                }
                if (waiting.isEmpty()) LockSupport.parkNanos(Math.max(1, Math.min(next, end) - System.nanoTime()));
                else if (!sendWaiting()) LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(200));
            }
        }

        private boolean sendWaiting() {
            List<Tap> batch = new ArrayList<>();
            StringBuilder events = new StringBuilder();
            for (Tap t : waiting) {
                if (batch.size() == 200) break;
                batch.add(t);
                events.append(events.isEmpty() ? "" : ",").append(hit(t.id, this));
            }
            try {
                HttpResponse<String> answer =
                        send("POST", "/api/runs/events", "{\"runId\":\"" + runId + "\",\"events\":[" + events + "]}");
                if (answer.statusCode() != 200) return false;
                long now = System.nanoTime();
                for (Tap t : batch) {
                    waiting.remove(t);
                    if (!answer.body().contains(t.id)) throw new IllegalStateException("not acknowledged: " + t.id);
                    acknowledged.add(t.id);
                    ackedAfterMs.add((now - t.madeNanos) / 1e6);
                }
                return true;
            } catch (IOException e) {
                return false;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }
    }

    private record Tap(String id, long madeNanos) {}

    private List<Double> latencies() {
        List<Double> all = new ArrayList<>();
        devices.forEach(d -> all.addAll(d.ackedAfterMs));
        Collections.sort(all);
        return all;
    }

    private static String spread(List<Double> sorted) {
        return String.format(
                Locale.ENGLISH,
                "median %.1f, p95 %.1f, most %.1f of %d",
                sorted.get(sorted.size() / 2),
                sorted.get((int) (sorted.size() * 0.95)),
                sorted.get(sorted.size() - 1),
                sorted.size());
    }

    private List<String> logOf(String runId) throws IOException, InterruptedException {
        String run = send("GET", "/api/runs/" + runId, null).body();
        String log = run.substring(run.indexOf("\"log\":["), run.indexOf("\"nowMs\""));
        Matcher ids = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"").matcher(log);
        List<String> all = new ArrayList<>();
        while (ids.find()) all.add(ids.group(1));
        return all;
    }

    private String first(String path, String name) throws IOException, InterruptedException {
        Matcher m = Pattern.compile("\"id\":\"([^\"]+)\",\"version\":\\d+,\"name\":\"" + name)
                .matcher(send("GET", path, null).body());
        if (!m.find()) throw new IllegalStateException("no " + name);
        return m.group(1);
    }

    private static String id(String body) {
        Matcher m = ID.matcher(body);
        if (!m.find()) throw new IllegalStateException(body);
        return m.group(1);
    }

    private HttpResponse<String> send(String method, String path, String body)
            throws IOException, InterruptedException {
        return send(method, path, body, 10);
    }

    private HttpResponse<String> send(String method, String path, String body, int mostSec)
            throws IOException, InterruptedException {
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(server.address() + path))
                .timeout(Duration.ofSeconds(mostSec))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token);
        request.method(
                method, body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static void say(String text, Object... figures) {
        System.out.printf(Locale.ENGLISH, text + "%n", figures);
    }
}
