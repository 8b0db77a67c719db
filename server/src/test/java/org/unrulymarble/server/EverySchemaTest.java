package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.unrulymarble.core.ladder.MovedRungs;
import org.unrulymarble.core.plan.Block;
import tools.jackson.databind.json.JsonMapper;

/** A file of every earlier version of the schema, with rows in all its tables, is brought up to date and holds what it held. */
class EverySchemaTest {

    private static final int ROWS = 2;
    /** Kept in another form from the second version on. */
    private static final Set<String> MEASURED_ANEW = Set.of(
            "SPACE.SURFACE",
            "SPACE.LENGTH_M",
            "SPACE.WIDTH_M",
            "SPACE.CEILING_M",
            "SPACE.WALL_RUN_M",
            "SPACE.WALL_DEPTH_M");
    /** What is concluded from attempts is concluded anew. */
    private static final String WORKED_OUT = "LADDER_RECORD.FOR_DAY";

    private static final List<String> IN_PLANS = List.of("lesson.plan", "run.sheet", "home_card.body");

    @TempDir
    private Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"1", "2", "3", "4", "5", "6", "7", "8", "9"})
    void keeps_every_value(String version) throws SQLException {
        String url = "jdbc:h2:file:" + folder.resolve("school");
        migrate(url, version);
        Map<String, Map<String, List<String>>> before;
        try (Connection file = DriverManager.getConnection(url, "marble", "")) {
            fill(file);
            before = held(file);
        }
        assertThat(before)
                .hasSizeGreaterThan(7)
                .allSatisfy((table, columns) ->
                        assertThat(columns.values()).as(table).allMatch(values -> values.size() == ROWS));

        migrate(url, "latest");

        try (Connection file = DriverManager.getConnection(url, "marble", "")) {
            Map<String, Map<String, List<String>>> after = held(file);
            before.forEach((table, columns) -> columns.forEach((column, values) -> {
                String name = table + "." + column;
                if (version.equals("1") && MEASURED_ANEW.contains(name) || name.equals(WORKED_OUT)) return;
                assertThat(after.get(table).get(column)).as(name).isEqualTo(values);
            }));
        }
    }

    /** Plans, sheets and cards hold both ids side by side. */
    @Test
    void a_rung_that_moved_to_another_ladder_takes_along_what_hangs_on_it() throws SQLException {
        MovedRungs.At before = new MovedRungs.At("lateral-pass", "late-school");
        MovedRungs.At now = MovedRungs.now(before.ladderId(), before.rungId());
        String url = "jdbc:h2:file:" + folder.resolve("moved");
        migrate(url, "25");
        try (Connection file = DriverManager.getConnection(url, "marble", "")) {
            fill(file);
            for (String table : List.of("attempt", "standing", "remark"))
                change(file, "update " + table + " set ladder_id = 'lateral-pass', rung_id = 'late-school'");
            for (String column : IN_PLANS) {
                String[] at = column.split("\\.");
                change(file, "update " + at[0] + " set " + at[1] + " = '" + work(before) + "'");
            }
        }

        migrate(url, "latest");

        try (Connection file = DriverManager.getConnection(url, "marble", "")) {
            Map<String, Map<String, List<String>>> held = held(file);
            for (String table : List.of("ATTEMPT", "STANDING", "REMARK"))
                assertThat(held.get(table))
                        .as(table)
                        .containsEntry("LADDER_ID", List.of(now.ladderId(), "again"))
                        .containsEntry("RUNG_ID", List.of(now.rungId(), "again"));
            for (String column : IN_PLANS) {
                String[] at = column.toUpperCase(Locale.ROOT).split("\\.");
                assertThat(held.get(at[0])).as(column).containsEntry(at[1], List.of(work(now), "again"));
            }
            assertThat(held.get("LADDER_RECORD"))
                    .containsEntry("LADDER_ID", List.of("1", "2", "lateral-pass-flat", "again"));
        }
    }

    private static String work(MovedRungs.At at) {
        return JsonMapper.shared()
                .writeValueAsString(Map.of("blocks", List.of(new Block.Task(at.ladderId(), at.rungId()))));
    }

    private static void change(Connection file, String sql) throws SQLException {
        try (Statement change = file.createStatement()) {
            change.execute(sql);
        }
    }

    private static void migrate(String url, String version) {
        Flyway.configure()
                .dataSource(url, "marble", "")
                .locations("classpath:db/migration", "classpath:db/h2")
                .target(version)
                .load()
                .migrate();
    }

    /** Row k has the k-th number in every column, so that each reference finds what it refers to. */
    private static void fill(Connection file) throws SQLException {
        try (Statement fill = file.createStatement()) {
            fill.execute("set referential_integrity false");
            for (Map.Entry<String, Map<String, String>> table : tables(file).entrySet())
                for (int row = 1; row <= ROWS; row++) {
                    List<String> values = new ArrayList<>();
                    for (String type : table.getValue().values()) values.add(value(type, row));
                    fill.execute("insert into " + table.getKey() + " (\""
                            + String.join("\",\"", table.getValue().keySet()) + "\") values ("
                            + String.join(",", values) + ")");
                }
            fill.execute("set referential_integrity true");
        }
    }

    private static String value(String type, int row) {
        return switch (type) {
            case "UUID" -> "'00000000-0000-0000-0000-00000000000" + row + "'";
            case "BOOLEAN" -> row == 1 ? "true" : "false";
            case "DATE" -> "date '2026-03-0" + row + "'";
            case "TIMESTAMP WITH TIME ZONE" -> "timestamp with time zone '2026-03-0" + row + " 10:00:00+00'";
            case "BINARY VARYING" -> "x'0" + row + "'";
            default -> "'" + row + "'";
        };
    }

    /** Of each table of ours its columns, in their order, with their types. */
    private static Map<String, Map<String, String>> tables(Connection file) throws SQLException {
        Map<String, Map<String, String>> tables = new TreeMap<>();
        try (Statement ask = file.createStatement();
                ResultSet row = ask.executeQuery(
                        "select c.table_name, c.column_name, c.data_type from information_schema.columns c "
                                + "where c.table_schema = 'PUBLIC' and lower(c.table_name) <> 'flyway_schema_history' "
                                + "order by c.table_name, c.ordinal_position")) {
            while (row.next())
                tables.computeIfAbsent(row.getString(1), t -> new LinkedHashMap<>())
                        .put(row.getString(2), row.getString(3));
        }
        return tables;
    }

    /** Of each column the values, sorted. */
    private static Map<String, Map<String, List<String>>> held(Connection file) throws SQLException {
        Map<String, Map<String, List<String>>> held = new TreeMap<>();
        for (Map.Entry<String, Map<String, String>> table : tables(file).entrySet())
            for (String column : table.getValue().keySet())
                try (Statement ask = file.createStatement();
                        ResultSet row = ask.executeQuery("select \"" + column + "\" from " + table.getKey())) {
                    TreeSet<String> sorted = new TreeSet<>();
                    int rows = 0;
                    for (; row.next(); rows++) sorted.add(String.valueOf(row.getString(1)));
                    List<String> values = new ArrayList<>(sorted);
                    while (values.size() < rows) values.add("again");
                    held.computeIfAbsent(table.getKey(), t -> new TreeMap<>()).put(column, values);
                }
        return held;
    }
}
