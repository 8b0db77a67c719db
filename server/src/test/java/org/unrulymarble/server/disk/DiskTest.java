package org.unrulymarble.server.disk;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.lang.reflect.Field;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.server.Api;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.StoreFailure;
import tools.jackson.databind.JsonNode;

/** A server on a disk that loses power, runs full, is backed up and forgets whom it has to forget. */
@SpringBootTest(properties = {"marble.hash-rounds-log2=4", "marble.nightly=false", "marble.https=false"})
@AutoConfigureMockMvc
@Import({Api.class, DiskTest.SmallDisk.class})
class DiskTest {

    private static final int WRITERS = 4;
    private static final int EACH = 60;
    private static final String OPTIONS =
            ";WRITE_DELAY=200;RETENTION_TIME=1000;MAX_COMPACT_TIME=3000;DB_CLOSE_ON_EXIT=FALSE";
    private static Path folder;
    private static volatile long freeMb = 50_000;

    @TestConfiguration
    static class SmallDisk {
        @Bean
        @Primary
        FreeSpace space() {
            return at -> new FreeSpace.Of(freeMb * 1_000_000, 100_000_000_000L);
        }
    }

    @DynamicPropertySource
    static void data(DynamicPropertyRegistry properties) throws IOException {
        WatchedDisk.register();
        folder = Files.createTempDirectory("marble-disk");
        try (InputStream in =
                new GZIPInputStream(DiskTest.class.getResourceAsStream("/upgrades/every-measure.mv.db.gz"))) {
            Files.copy(in, folder.resolve("marble.mv.db"));
        }
        properties.add("marble.data", folder::toString);
        // The application's own options, on another disk.
        properties.add("spring.datasource.url", () -> "jdbc:h2:watched:" + folder.resolve("marble") + OPTIONS);
    }

    @Autowired
    private Api api;

    @Autowired
    private Audit audit;

    @Autowired
    private TransactionTemplate transactions;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private HikariDataSource pool;

    @Autowired
    private Compaction compaction;

    @Autowired
    private StoreFile file;

    @Autowired
    private ApplicationEventPublisher events;

    @BeforeEach
    void signIn() {
        api.as("wren", "nineteen-shells");
    }

    @AfterEach
    void room() {
        freeMb = 50_000;
        WatchedDisk.full(false);
    }

    /** @param forces how often the disk had been forced when the answer came */
    private record Acknowledged(UUID about, int forces) {}

    /** Of what was written since the last force, chance keeps whatever it likes. */
    @Test
    void whatever_was_acknowledged_is_there_after_a_power_cut_at_any_moment() throws Exception {
        WatchedDisk.begin(Files.readAllBytes(file.file()));
        List<Acknowledged> all = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            int before = WatchedDisk.forces();
            all.add(change());
            assertThat(WatchedDisk.forces()).as("forced before it was answered").isGreaterThan(before);
        }
        ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
        CountDownLatch go = new CountDownLatch(1);
        List<Future<List<Acknowledged>>> sent = new ArrayList<>();
        for (int w = 0; w < WRITERS; w++)
            sent.add(writers.submit(() -> {
                go.await();
                List<Acknowledged> mine = new ArrayList<>();
                for (int i = 0; i < EACH; i++) mine.add(change());
                return mine;
            }));
        go.countDown();
        for (Future<List<Acknowledged>> one : sent) all.addAll(one.get());
        writers.shutdown();

        Random chance = new Random(27);
        for (int cut = 0; cut < 24; cut++) {
            int forces = 1 + chance.nextInt(WatchedDisk.forces());
            Set<UUID> there = reopened(WatchedDisk.afterPowerCut(forces, cut % 3 == 0 ? null : chance));
            assertThat(all.stream().filter(a -> a.forces() <= forces).map(Acknowledged::about))
                    .as("after %d forces", forces)
                    .allMatch(there::contains);
        }
    }

    @Test
    void on_a_full_disk_reading_goes_on_and_writing_is_told_so_until_there_is_room() {
        String path = "/api/classes";
        String doc = "{\"version\":null,\"name\":\"Gannet 3\",\"pupils\":[]}";
        freeMb = 20;
        Api.Answer refused = api.post(path, doc);
        assertThat(refused.status()).isEqualTo(507);
        assertThat(refused.body().get("detail").stringValue())
                .startsWith("Nothing can be saved: the disk of the server has 20 MB left.");
        assertThat(api.get(path).status()).isEqualTo(200);
        assertThat(api.post("/api/reckon/clock", "{}").status())
                .as("working something out writes nothing")
                .isEqualTo(400);
        Api.Answer health = api.get("/actuator/health");
        assertThat(health.status()).isEqualTo(503);
        assertThat(health.text()).contains("\"DOWN\"", "no room left on the disk: 20 MB free");

        freeMb = 600;
        assertThat(api.post(path, doc).status()).isEqualTo(201);
        assertThat(api.get("/actuator/health").status()).isEqualTo(200);
        assertThat(api.get("/api/disk").text()).isEqualTo("{\"freeMb\":600,\"low\":true,\"full\":false}");
    }

    @Test
    void those_who_commit_while_the_disk_is_busy_share_the_next_force() throws Exception {
        // After a disk that failed the store may be closing, which forces too and must not be the one that is held.
        awaitIdle(WRITERS + 2);
        WatchedDisk.begin(Files.readAllBytes(file.file()));
        CountDownLatch busy = WatchedDisk.holdNextForce();
        ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
        List<Future<Acknowledged>> sent = new ArrayList<>();
        long before = changes();
        for (int w = 0; w < WRITERS; w++) sent.add(writers.submit(this::change));
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (changes() < before + WRITERS) {
            assertThat(System.nanoTime()).as("all have committed").isLessThan(until);
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(5));
        }
        assertThat(sent).as("nobody is answered before the force").noneMatch(Future::isDone);
        int held = WatchedDisk.forces();
        busy.countDown();
        int most = 0;
        for (Future<Acknowledged> one : sent) most = Math.max(most, one.get().forces());
        writers.shutdown();

        // The one that was held, the one that all share, and perhaps one for who had just committed.
        assertThat(most - held).isBetween(1, 3);
    }

    private void awaitIdle(int connections) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (pool.getHikariPoolMXBean().getIdleConnections() < connections) {
            assertThat(System.nanoTime()).as("the store is open again").isLessThan(until);
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(5));
        }
    }

    private long changes() {
        return jdbc.sql("select count(*) from audit where kind = 'SIGNED_OUT'")
                .query(Long.class)
                .single();
    }

    @Test
    void a_disk_that_fails_in_the_middle_of_a_save_stops_nothing_for_good() {
        String doc = "{\"version\":null,\"name\":\"Petrel %d\",\"pupils\":[]}";
        assertThat(api.post("/api/classes", doc.formatted(1)).status()).isEqualTo(201);
        WatchedDisk.full(true);
        Api.Answer failed = api.post("/api/classes", doc.formatted(2));
        assertThat(failed.status()).as(failed.text()).isEqualTo(507);
        WatchedDisk.full(false);

        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (api.post("/api/classes", doc.formatted(3)).status() != 201) {
            assertThat(System.nanoTime()).as("goes on by itself").isLessThan(until);
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
        }
        assertThat(api.get("/api/classes")
                        .body()
                        .valueStream()
                        .map(c -> c.get("name").stringValue()))
                .contains("Petrel 1", "Petrel 3");
    }

    /** H2 takes a store that closes itself off its list by name, also when it was opened again meanwhile. */
    @Test
    void a_store_that_is_open_but_on_no_list_is_let_go_so_that_it_can_be_opened() throws Exception {
        events.publishEvent(new StoreFailure.Happened());
        assertThat(api.get("/api/classes").status()).isEqualTo(200);
        Field list = Class.forName("org.h2.engine.Engine").getDeclaredField("DATABASES");
        list.setAccessible(true);
        String name = folder.getFileName().toString();
        assertThat(((Map<?, ?>) list.get(null))
                        .keySet()
                        .removeIf(k -> String.valueOf(k).contains(name)))
                .isTrue();

        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (!opens()) {
            assertThat(System.nanoTime()).as("can be opened again").isLessThan(until);
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
        }
        assertThat(api.get("/api/classes").status()).isEqualTo(200);
    }

    private boolean opens() {
        try (Connection another =
                DriverManager.getConnection(pool.getJdbcUrl(), pool.getUsername(), pool.getPassword())) {
            return another.isValid(1);
        } catch (SQLException e) {
            return false;
        }
    }

    @Test
    void whoever_is_erased_leaves_the_file_with_the_next_compaction_and_one_is_told_when() throws IOException {
        String classId = api.post(
                        "/api/classes",
                        "{\"version\":null,\"name\":\"Plover 2\",\"pupils\":[{\"id\":null,\"details\":{\"firstName\":\"Zephyrine\",\"initial\":\"Q\"}}]}")
                .body()
                .get("id")
                .stringValue();
        String pupil =
                api.get("/api/classes/" + classId).body().at("/pupils/0/id").stringValue();
        JsonNode backup = api.post("/api/backups", "").body();
        JsonNode gone = api.delete("/api/pupils/" + pupil).body();
        long leftMs = gone.at("/left/goneByMs").longValue() - System.currentTimeMillis();
        assertThat(leftMs).isBetween(0L, Duration.ofHours(24).toMillis());
        assertThat(gone.at("/left/backups").toString())
                .contains(backup.get("name").stringValue());
        assertThat(gone.at("/left/untilMs").longValue()).isGreaterThan(System.currentTimeMillis());
        assertThat(inFile("Zephyrine")).as("before").isTrue();
        String others = api.get("/api/export.json").text();

        assertThat(compaction.run()).isTrue();
        assertThat(api.get("/api/export.json").text())
                .as("nothing else is lost")
                .isEqualTo(others);

        assertThat(inFile("Zephyrine")).isFalse();
        assertThat(api.get("/api/classes/" + classId).body().get("pupils")).isEmpty();
    }

    @Test
    void a_backup_is_made_by_a_press_and_by_the_command_while_the_server_runs() {
        JsonNode made = api.post("/api/backups", "").body();
        assertThat(made.get("pupils").longValue()).isPositive();
        assertThat(api.get("/api/backups").body().get("backups"))
                .anyMatch(b -> b.get("name").equals(made.get("name")));
        assertThat(api.get("/api/audit").body())
                .anyMatch(e -> e.get("kind").stringValue().equals("BACKUP_MADE"));

        ByteArrayOutputStream said = new ByteArrayOutputStream();
        int answer =
                new Commands(file, Map.of(), Clock.systemDefaultZone(), new PrintStream(said)).run(List.of("backup"));

        assertThat(said.toString(StandardCharsets.UTF_8))
                .contains("The server is running", "Made and read back: " + folder);
        assertThat(answer).isZero();
    }

    private boolean inFile(String text) throws IOException {
        return new String(Files.readAllBytes(file.file()), StandardCharsets.ISO_8859_1).contains(text);
    }

    private Acknowledged change() {
        UUID about = UUID.randomUUID();
        transactions.executeWithoutResult(status -> audit.note(null, Audit.Kind.SIGNED_OUT, about));
        return new Acknowledged(about, WatchedDisk.forces());
    }

    private static Set<UUID> reopened(byte[] file) throws IOException, SQLException {
        Path copy = Files.createTempDirectory("marble-cut").resolve("marble.mv.db");
        Files.write(copy, file);
        Set<UUID> there = new HashSet<>();
        String url = "jdbc:h2:file:" + copy.toString().replace(".mv.db", "") + OPTIONS;
        try (Connection open = DriverManager.getConnection(url, "marble", "");
                Statement ask = open.createStatement();
                ResultSet row = ask.executeQuery("select about from audit where kind = 'SIGNED_OUT'")) {
            while (row.next()) there.add(UUID.fromString(row.getString(1)));
        }
        return there;
    }
}
