package org.unrulymarble.e2e.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import org.unrulymarble.e2e.MarbleServer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A school of thirty classes over five years: how long its record takes to look at, to bring in and to carry out. */
final class SchoolBench {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int CLASSES = 30;
    private static final int PUPILS = 28;
    private static final int LADDERS = 20;
    private static final int RUNGS = 3;
    private static final int LESSONS = 200;
    private static final int LOOKS = 300;
    private static final int IMPORTED = 5000;

    private record Challenge(String ladderId, String rungId, List<String> sides, boolean timed) {}

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final Path app;
    private String address;
    private List<UUID> pupilIds = new ArrayList<>();
    private List<UUID> classIds = new ArrayList<>();
    private List<Challenge> challenges = new ArrayList<>();

    SchoolBench(Path app) {
        this.app = app;
    }

    static void run(Path app) throws IOException, InterruptedException, SQLException {
        double[] small = new SchoolBench(app).looks(10_000);
        double[] large = new SchoolBench(app).looks(1_000_000);
        say(
                "p95 at 1,000,000 attempts against 10,000: matrix %.2f times, pupil's page %.2f times, one ladder of a pupil %.2f times (wanted: at most 1.5)",
                large[0] / small[0], large[1] / small[1], large[2] / small[2]);
    }

    /** p95 in ms of the matrix, a pupil's page, and one ladder of it. */
    private double[] looks(int attempts) throws IOException, InterruptedException, SQLException {
        // Small on purpose: whatever holds a whole school at once does not get through.
        try (MarbleServer server = new MarbleServer(true, app).heap("512m").start()) {
            address = server.address();
            signIn();
            readChallenges();
            server.stop();
            long from = System.nanoTime();
            fill(server.data(), attempts);
            say("%,d attempts written in %.0f s", attempts, (System.nanoTime() - from) / 1e9);
            server.start();
            signIn();
            List<Double> firsts = new ArrayList<>();
            for (UUID id : classIds) firsts.add(ms("GET", "/api/classes/" + id + "/record", null));
            say("%,d attempts, a class's first look of the day: %s ms", attempts, spread(firsts));
            Random random = new Random(7);
            List<Double> matrix = new ArrayList<>();
            List<Double> page = new ArrayList<>();
            List<Double> ladder = new ArrayList<>();
            // Twice: the first time warms up.
            for (int round = 0; round < 2; round++) {
                matrix.clear();
                page.clear();
                ladder.clear();
                for (int i = 0; i < LOOKS; i++) {
                    String pupil = "/api/pupils/" + pupilIds.get(random.nextInt(pupilIds.size()));
                    Challenge c = challenges.get(random.nextInt(challenges.size()));
                    matrix.add(ms("GET", "/api/classes/" + classIds.get(random.nextInt(CLASSES)) + "/record", null));
                    page.add(ms("GET", pupil + "/record", null));
                    ladder.add(ms("GET", pupil + "/ladders/" + c.ladderId() + "/record", null));
                }
            }
            say("%,d attempts, matrix: %s ms (wanted: p95 below 300)", attempts, spread(matrix));
            say("%,d attempts, a pupil's page: %s ms (wanted: p95 below 300)", attempts, spread(page));
            say("%,d attempts, one ladder of it, down to the tries: %s ms", attempts, spread(ladder));
            afterALesson(attempts);
            bringIn(attempts);
            carryOut(attempts);
            return new double[] {p95(matrix), p95(page), p95(ladder)};
        }
    }

    /** What a look takes when a lesson's results have just come in. */
    private void afterALesson(int attempts) throws IOException, InterruptedException {
        List<Double> after = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            UUID id = classIds.get(i);
            bring(id, csv(id, PUPILS * 6, i), false);
            after.add(ms("GET", "/api/classes/" + id + "/record", null));
        }
        say("%,d attempts, matrix after a lesson of %d results: %s ms", attempts, PUPILS * 6, spread(after));
    }

    private void bringIn(int attempts) throws IOException, InterruptedException {
        UUID id = classIds.get(11);
        String file = csv(id, IMPORTED, 99);
        double dry = bring(id, file, true);
        double kept = bring(id, file, false);
        say(
                "%,d attempts, a file of %,d results: looked over in %.1f s, brought in in %.1f s (wanted: below 10)",
                attempts, IMPORTED, dry / 1000, kept / 1000);
    }

    private void carryOut(int attempts) throws IOException, InterruptedException {
        for (String path : List.of("/api/export.json", "/api/export.zip")) {
            long from = System.nanoTime();
            HttpResponse<java.io.InputStream> answer = client.send(
                    HttpRequest.newBuilder(URI.create(address + path)).build(),
                    HttpResponse.BodyHandlers.ofInputStream());
            long bytes;
            try (java.io.InputStream in = answer.body()) {
                bytes = in.transferTo(java.io.OutputStream.nullOutputStream());
            }
            if (answer.statusCode() != 200) throw new IllegalStateException(path + ": " + answer.statusCode());
            say(
                    "%,d attempts, %s: %.1f MB in %.1f s, with 512 MB of memory for the server",
                    attempts, path, bytes / 1e6, (System.nanoTime() - from) / 1e9);
        }
    }

    private double bring(UUID classId, String csv, boolean dryRun) throws IOException, InterruptedException {
        String body = JSON.writeValueAsString(java.util.Map.of("text", csv, "dryRun", dryRun));
        long from = System.nanoTime();
        JsonNode told = JSON.readTree(send("POST", "/api/classes/" + classId + "/results", body));
        if (!told.get("bad").isEmpty() || told.get("kept").booleanValue() == dryRun)
            throw new IllegalStateException(told.toString());
        return (System.nanoTime() - from) / 1e6;
    }

    private String csv(UUID classId, int lines, long seed) throws IOException, InterruptedException {
        JsonNode pupils =
                JSON.readTree(send("GET", "/api/classes/" + classId, null)).get("pupils");
        Random random = new Random(seed);
        StringBuilder out = new StringBuilder("pupil,day,ladder,rung,side,score,hits,misses,work_sec\r\n");
        for (int i = 0; i < lines; i++) {
            // A lesson's results are on two ladders.
            Challenge c = challenges.get(lines > 1000 ? random.nextInt(challenges.size()) : i % (2 * RUNGS));
            int hits = random.nextInt(11);
            out.append("%s,%s,%s,%s,%s,%d,%d,%d,%s\r\n"
                    .formatted(
                            pupils.get(i % PUPILS).get("name").stringValue(),
                            LocalDate.now(),
                            c.ladderId(),
                            c.rungId(),
                            c.sides()
                                    .get(i % c.sides().size())
                                    .toLowerCase(Locale.ROOT)
                                    .replace('_', '-'),
                            hits,
                            hits,
                            10 - hits,
                            c.timed() ? "30" : ""));
        }
        return out.toString();
    }

    private void signIn() throws IOException, InterruptedException {
        cookies.getCookieStore().removeAll();
        send("GET", "/api/session", null);
        send("POST", "/api/session", "{\"username\":\"okafor\",\"password\":\"okafor-demo\"}");
    }

    private void readChallenges() throws IOException, InterruptedException {
        int taken = 0;
        for (JsonNode l : JSON.readTree(send("GET", "/api/ladders", null))) {
            if (taken == LADDERS || l.get("rungs").size() < RUNGS) continue;
            taken++;
            for (int r = 0; r < RUNGS; r++) {
                JsonNode rung = l.get("rungs").get(r);
                challenges.add(new Challenge(
                        l.get("id").stringValue(),
                        rung.get("id").stringValue(),
                        switch (rung.get("sides").stringValue()) {
                            case "BOTH" -> List.of("RIGHT", "LEFT");
                            case "BOTH_DIRECTIONS" -> List.of("CLOCKWISE", "COUNTER_CLOCKWISE");
                            case "STRONG_ONLY" -> List.of("STRONG");
                            default -> List.of("NONE");
                        },
                        rung.get("measure").stringValue().equals("COUNT_IN_TIME")));
            }
        }
    }

    /** Straight into the store's file, while no server has it: by the thirty classes' lessons one after the other. */
    private void fill(Path data, int attempts) throws SQLException {
        try (Connection db =
                DriverManager.getConnection("jdbc:h2:file:" + data.resolve("demo") + ";LOCK_MODE=0", "marble", "")) {
            db.setAutoCommit(false);
            String teacher = one(db, "select id from account where username = 'okafor'");
            for (int c = 0; c < CLASSES; c++) {
                UUID classId = new UUID(1, c);
                classIds.add(classId);
                run(
                        db,
                        "insert into school_class (id, name, teacher_id, version) values ('" + classId + "', 'Class "
                                + c + "', '" + teacher + "', 0)");
                for (int p = 0; p < PUPILS; p++) {
                    UUID pupilId = new UUID(2, c * 100L + p);
                    pupilIds.add(pupilId);
                    run(
                            db,
                            "insert into pupil (id, class_id, place, first_name, initial, strong_hand) values ('"
                                    + pupilId + "', '" + classId + "', " + p + ", 'Pupil" + p + "', 'P', 'RIGHT')");
                }
            }
            attempts(db, attempts);
            run(
                    db,
                    "insert into ladder_record (class_id, pupil_id, ladder_id, stamp) select distinct a.class_id, a.pupil_id, a.ladder_id, 0 from attempt a where not exists (select 1 from ladder_record r where r.pupil_id = a.pupil_id and r.ladder_id = a.ladder_id)");
            db.commit();
        }
    }

    private void attempts(Connection db, int attempts) throws SQLException {
        Random random = new Random(41);
        int each = attempts / (CLASSES * PUPILS);
        LocalDate today = LocalDate.now();
        try (PreparedStatement insert = db.prepareStatement("""
                insert into attempt (id, class_id, pupil_id, on_day, ladder_id, rung_id, modifiers, side, set_number, score, hits, misses, tries,
                work_sec, counted_by, joint_with, trial, place, confirmed, struck, typed, space)
                values (?, ?, ?, ?, ?, ?, '', ?, ?, ?, ?, ?, ?, ?, 'PARTNER', '', false, 'SCHOOL', true, false, false, 'Yard')""")) {
            long number = 0;
            for (int c = 0; c < CLASSES; c++)
                for (int p = 0; p < PUPILS; p++)
                    for (int i = 0; i < each; i++) {
                        // From easy to hard through the ladders, lesson by lesson; of few attempts each is another
                        // challenge.
                        Challenge one = challenges.get(
                                each < challenges.size() ? i * challenges.size() / each : i % challenges.size());
                        int hits = 4 + random.nextInt(7);
                        insert.setObject(1, new UUID(3, number++));
                        insert.setObject(2, classIds.get(c));
                        insert.setObject(3, pupilIds.get(c * PUPILS + p));
                        insert.setObject(4, today.minusDays(1 + (LESSONS - 1 - (long) i * LESSONS / each) * 9));
                        insert.setString(5, one.ladderId());
                        insert.setString(6, one.rungId());
                        insert.setString(
                                7,
                                one.sides()
                                        .get(i / challenges.size() % one.sides().size()));
                        insert.setInt(8, 1 + i % 3);
                        insert.setInt(9, hits);
                        insert.setInt(10, hits);
                        insert.setInt(11, 10 - hits);
                        insert.setInt(12, 10);
                        insert.setObject(13, one.timed() ? 30 : null);
                        insert.addBatch();
                        if (number % 5000 == 0) {
                            insert.executeBatch();
                            db.commit();
                        }
                    }
            insert.executeBatch();
            db.commit();
        }
    }

    private static String one(Connection db, String sql) throws SQLException {
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery(sql)) {
            r.next();
            return r.getString(1);
        }
    }

    private static void run(Connection db, String sql) throws SQLException {
        try (Statement s = db.createStatement()) {
            s.executeUpdate(sql);
        }
    }

    private double ms(String method, String path, String body) throws IOException, InterruptedException {
        long from = System.nanoTime();
        send(method, path, body);
        return (System.nanoTime() - from) / 1e6;
    }

    private String send(String method, String path, String body) throws IOException, InterruptedException {
        HttpRequest.Builder ask = HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .forEach(c -> ask.header("X-XSRF-TOKEN", c.getValue()));
        HttpResponse<String> answer = client.send(ask.build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300)
            throw new IllegalStateException(path + ": " + answer.statusCode() + " " + answer.body());
        return answer.body();
    }

    private static double p95(List<Double> ms) {
        return ms.stream().sorted().toList().get((int) Math.ceil(ms.size() * 0.95) - 1);
    }

    private static String spread(List<Double> ms) {
        List<Double> sorted = ms.stream().sorted().toList();
        return String.format(
                Locale.ENGLISH,
                "median %.1f, p95 %.1f, most %.1f of %d",
                sorted.get(sorted.size() / 2),
                p95(ms),
                sorted.get(sorted.size() - 1),
                sorted.size());
    }

    private static void say(String text, Object... figures) {
        System.out.printf(Locale.ENGLISH, text + "%n", figures);
    }
}
