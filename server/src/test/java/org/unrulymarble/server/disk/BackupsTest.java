package org.unrulymarble.server.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Backups, restores and damage, on a file that an earlier version left. */
class BackupsTest {

    @TempDir
    private Path data;

    private StoreFile store;
    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    @BeforeEach
    void aSchool() throws IOException {
        store = new StoreFile(data, "marble");
        try (InputStream in =
                new GZIPInputStream(BackupsTest.class.getResourceAsStream("/upgrades/every-measure.mv.db.gz"))) {
            Files.copy(in, store.file());
        }
        Flyway.configure()
                .dataSource("jdbc:h2:file:" + data.resolve("marble"), StoreFile.USER, "")
                .locations("classpath:db/migration", "classpath:db/h2")
                .load()
                .migrate();
        store.rememberAfterStop();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "seven lamps in the fog"})
    void what_is_backed_up_comes_back_whole_and_the_data_from_before_stays_aside(String passphrase)
            throws SQLException, IOException {
        Map<String, String> environment =
                passphrase.isEmpty() ? Map.of() : Map.of("MARBLE_BACKUP_PASSPHRASE", passphrase);
        Map<String, String> before = contents();
        assertThat(run(environment, "backup")).as(said()).isZero();
        Path backup = onlyBackup();
        assertThat(Files.getPosixFilePermissions(backup)).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        assertThat(new String(Files.readAllBytes(backup), StandardCharsets.ISO_8859_1))
                .doesNotContain("\"firstName\"");
        sql("delete from attempt");
        sql("update pupil set first_name = 'Changed'");
        Map<String, String> changed = contents();

        assertThat(run(environment, "restore", backup.toString())).isZero();
        assertThat(said()).contains("The backup is good", "Nothing was changed");
        assertThat(contents()).isEqualTo(changed);
        assertThat(run(environment, "restore", backup.toString(), "--yes"))
                .as(said())
                .isZero();

        assertThat(contents()).isEqualTo(before);
        assertThat(store.wrong()).isNull();
        assertThat(files("marble-before-")).hasSize(1);
        // Numbers go on after the last.
        sql("insert into audit (at_ms, kind) values (1, 'SIGNED_IN')");
        if (!passphrase.isEmpty()) {
            assertThat(run(Map.of(), "restore", backup.toString())).isEqualTo(1);
            assertThat(said()).contains("it is encrypted");
            assertThat(run(Map.of("MARBLE_BACKUP_PASSPHRASE", "another one"), "restore", backup.toString()))
                    .isEqualTo(1);
        }
    }

    @Test
    void a_damaged_backup_is_refused_and_the_newest_good_one_is_named() throws IOException, SQLException {
        Backups backups = backups(Instant.parse("2026-11-20T12:00:00Z"));
        Path good = make(backups);
        Path bad = make(backups(Instant.parse("2026-11-21T12:00:00Z")));
        flip(bad, Files.size(bad) / 3);

        assertThat(run(Map.of(), "restore", bad.toString(), "--yes")).isEqualTo(1);
        assertThat(said()).contains("damaged");
        assertThat(files("marble-before-")).isEmpty();
        flip(store.file(), Files.size(store.file()) / 2);
        assertThatThrownBy(() -> store.checkBeforeStart(Map.of()))
                .isInstanceOf(StoreFile.CannotStart.class)
                .hasMessageContaining("is damaged: bytes in it have changed since it was closed")
                .hasMessageContaining("./marble restore " + good);
    }

    @Test
    void any_byte_that_changed_is_noticed_and_so_is_a_file_that_is_cut_empty_noise_or_gone() throws IOException {
        byte[] whole = Files.readAllBytes(store.file());
        int noticed = 0;
        for (int tenth = 0; tenth < 10; tenth++) {
            long at = 8192 + (whole.length - 8192L) * tenth / 10 + 300;
            flip(store.file(), at);
            if (store.wrong() != null) noticed++;
            Files.write(store.file(), whole);
        }
        assertThat(noticed).isEqualTo(10);
        assertThat(store.wrong()).isNull();

        Files.write(store.file(), java.util.Arrays.copyOf(whole, whole.length - 4096));
        assertThat(store.wrong()).contains("cut off");
        Files.write(store.file(), new byte[0]);
        assertThat(store.wrong()).isEqualTo("it is empty");
        Files.write(store.file(), "not a store at all, but long enough".getBytes(StandardCharsets.UTF_8));
        assertThat(store.wrong()).isEqualTo("it does not hold what it should");
        Files.write(store.file(), whole);
        assertThat(run(Map.of(), "backup")).isZero();
        Files.delete(store.file());
        assertThatThrownBy(() -> store.checkBeforeStart(Map.of()))
                .hasMessageContaining("is missing, but there are backups")
                .hasMessageContaining("./marble restore ");
    }

    @Test
    void a_byte_that_changes_while_a_server_has_the_file_open_is_noticed_too() throws SQLException, IOException {
        store.checkBeforeStart(Map.of());
        try (Connection open = store.open("marble");
                Statement run = open.createStatement()) {
            // What a server writes on and a kill cuts off is no damage.
            for (int i = 0; i < 50; i++) {
                run.execute("insert into audit (at_ms, kind) values (" + i + ", 'SIGNED_IN')");
                run.execute("checkpoint sync");
            }
            assertThat(store.wrong()).isNull();
            // All but what was written last has its sum.
            long size = Files.size(store.file());
            int noticed = 0;
            for (int part = 0; part < 20; part++) {
                long at = 8192 + (size - 8192) * part / 20 + 2000;
                flip(store.file(), at);
                String wrong = store.wrong();
                if (wrong != null && wrong.contains("have changed since they were written")) noticed++;
                flip(store.file(), at);
            }
            assertThat(noticed).isGreaterThanOrEqualTo(8);
            assertThat(store.wrong()).isNull();
        }
    }

    @Test
    void a_second_server_and_a_folder_that_may_only_be_read_are_told_in_a_sentence() throws SQLException, IOException {
        try (Connection open = store.open("marble")) {
            assertThat(open.isClosed()).isFalse();
            assertThatThrownBy(() -> store.checkBeforeStart(Map.of()))
                    .hasMessageContaining("Another server is running on the data in");
            assertThat(run(Map.of(), "restore", "any")).isEqualTo(1);
            assertThat(said()).contains("Stop it first");
        }
        Path file = Files.createFile(data.resolve("file"));
        assertThatThrownBy(() -> new StoreFile(file, "marble").checkBeforeStart(Map.of()))
                .hasMessageContaining("is a file");
        store.checkBeforeStart(Map.of());
        assertThat(Files.getPosixFilePermissions(store.file())).isEqualTo(PosixFilePermissions.fromString("rw-------"));
    }

    @Test
    void the_last_of_seven_days_and_eight_weeks_stay_here_and_in_the_second_folder() throws SQLException, IOException {
        Path second = data.resolve("elsewhere");
        LocalDate first = LocalDate.of(2026, 9, 1);
        for (int day = 0; day < 90; day++) {
            for (int hour : new int[] {3, 15}) {
                Instant now = first.plusDays(day)
                        .atTime(hour, 0)
                        .atZone(ZoneId.systemDefault())
                        .toInstant();
                Path made = new Backups(
                                data.resolve("backups"),
                                second,
                                "marble",
                                null,
                                Clock.fixed(now, ZoneId.systemDefault()))
                        .folder()
                        .resolve("marble-" + first.plusDays(day) + "-" + (hour == 3 ? "03" : "15") + "0000.backup.zip");
                Files.createDirectories(made.getParent());
                Files.writeString(made, "x");
                Files.createDirectories(second);
                Files.writeString(second.resolve(made.getFileName()), "x");
            }
        }
        Backups now = new Backups(
                data.resolve("backups"),
                second,
                "marble",
                null,
                Clock.fixed(
                        first.plusDays(89)
                                .atTime(16, 0)
                                .atZone(ZoneId.systemDefault())
                                .toInstant(),
                        ZoneId.systemDefault()));
        now.prune();

        List<String> names = now.kept().stream().map(Backups.Kept::name).toList();
        // Sunday 29 November and the six days before; then the Sundays of the weeks before, the last of each week.
        assertThat(names)
                .hasSize(14)
                .startsWith("marble-2026-11-29-150000.backup.zip", "marble-2026-11-28-150000.backup.zip")
                .contains("marble-2026-11-22-150000.backup.zip", "marble-2026-10-11-150000.backup.zip")
                .doesNotContain("marble-2026-11-29-030000.backup.zip", "marble-2026-10-04-150000.backup.zip");
        try (Stream<Path> copies = Files.list(second)) {
            assertThat(copies.count()).isEqualTo(names.size());
        }
    }

    private Backups backups(Instant now) {
        return new Backups(data.resolve("backups"), null, "marble", null, Clock.fixed(now, ZoneId.systemDefault()));
    }

    private Path make(Backups backups) throws SQLException, IOException {
        try (Connection open = store.open("marble")) {
            return backups.make(open).file();
        } finally {
            store.rememberAfterStop();
        }
    }

    private int run(Map<String, String> environment, String... words) {
        said.reset();
        return new Commands(store, environment, Clock.systemDefaultZone(), new PrintStream(said)).run(List.of(words));
    }

    private String said() {
        return said.toString(StandardCharsets.UTF_8);
    }

    private Path onlyBackup() throws IOException {
        try (Stream<Path> all = Files.list(data.resolve("backups"))) {
            return all.reduce((a, b) -> {
                        throw new AssertionError("more than one");
                    })
                    .orElseThrow();
        }
    }

    private List<Path> files(String begin) throws IOException {
        try (Stream<Path> all = Files.list(data)) {
            return all.filter(f -> f.getFileName().toString().startsWith(begin)).toList();
        }
    }

    private void sql(String statement) throws SQLException, IOException {
        try (Connection open = store.open("marble");
                Statement run = open.createStatement()) {
            run.execute(statement);
        }
        store.rememberAfterStop();
    }

    /** Each table's rows, as text. */
    private Map<String, String> contents() throws SQLException, IOException {
        Map<String, String> all = new HashMap<>();
        try (Connection open = store.open("marble");
                Statement ask = open.createStatement()) {
            for (String table : BackupFile.tables(open)) {
                StringBuilder rows = new StringBuilder();
                try (ResultSet row = ask.executeQuery("select * from " + table + " order by 1, 2")) {
                    while (row.next())
                        for (int i = 1; i <= row.getMetaData().getColumnCount(); i++)
                            rows.append(row.getString(i)).append('|');
                }
                all.put(table, rows.toString());
            }
        }
        store.rememberAfterStop();
        return all;
    }

    private static void flip(Path file, long at) throws IOException {
        try (RandomAccessFile bytes = new RandomAccessFile(file.toFile(), "rw")) {
            bytes.seek(at);
            int was = bytes.read();
            bytes.seek(at);
            bytes.write(was ^ 0x20);
        }
    }
}
