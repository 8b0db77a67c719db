package org.unrulymarble.server.disk;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.flywaydb.core.Flyway;

/** Fills a new file with what a backup holds, in the shape that the tables had then; the next start brings them to today's. */
final class Restoring {

    private static final int TOGETHER = 1_000;

    private Restoring() {}

    /** @throws BackupFile.Bad where what stands in the new file afterwards is not what the backup says */
    static void into(StoreFile store, String name, Path file, char[] passphrase, BackupFile.Manifest manifest)
            throws SQLException, IOException {
        try (Connection fresh = store.open(name);
                Statement run = fresh.createStatement()) {
            Flyway.configure()
                    .dataSource(
                            "jdbc:h2:file:" + store.folder().resolve(name) + ";DB_CLOSE_ON_EXIT=FALSE",
                            StoreFile.USER,
                            "")
                    .locations("classpath:db/migration", "classpath:db/h2")
                    .target(manifest.schema())
                    .load()
                    .migrate();
            run.execute("set referential_integrity false");
            for (String table : BackupFile.tables(fresh)) run.execute("delete from " + table);
            for (BackupFile.Table table : manifest.tables()) fill(fresh, file, passphrase, table);
            goOnNumbering(fresh);
            run.execute("set referential_integrity true");
            run.execute("shutdown compact");
        }
    }

    private static void fill(Connection fresh, Path file, char[] passphrase, BackupFile.Table table)
            throws SQLException {
        Map<String, Integer> columns = columns(fresh, table.name());
        String sql = "insert into " + table.name() + " (" + String.join(", ", columns.keySet()) + ") values ("
                + columns.keySet().stream().map(c -> "?").collect(Collectors.joining(", ")) + ")";
        fresh.setAutoCommit(false);
        try (PreparedStatement insert = fresh.prepareStatement(sql)) {
            int[] many = {0};
            BackupFile.rows(file, passphrase, table.name(), null, row -> {
                int i = 1;
                for (Map.Entry<String, Integer> column : columns.entrySet())
                    set(insert, i++, column.getValue(), row.get(column.getKey()));
                insert.addBatch();
                if (++many[0] % TOGETHER == 0) insert.executeBatch();
            });
            insert.executeBatch();
        }
        fresh.commit();
        fresh.setAutoCommit(true);
        long there = BackupFile.count(fresh, table.name());
        if (there != table.rows())
            throw new BackupFile.Bad(
                    "of " + table.name() + " " + table.rows() + " rows were to come back and " + there + " did");
    }

    /** A column that numbers its rows by itself goes on after the last of those that came back. */
    private static void goOnNumbering(Connection fresh) throws SQLException {
        try (Statement ask = fresh.createStatement();
                Statement set = fresh.createStatement();
                ResultSet numbered = ask.executeQuery(
                        "select table_name, column_name from information_schema.columns where is_identity = 'YES' and table_schema = 'PUBLIC'")) {
            while (numbered.next()) {
                String table = numbered.getString(1);
                String column = numbered.getString(2);
                set.execute("alter table " + table + " alter column " + column + " restart with (select coalesce(max("
                        + column + "), 0) + 1 from " + table + ")");
            }
        }
    }

    private static Map<String, Integer> columns(Connection fresh, String table) throws SQLException {
        Map<String, Integer> columns = new LinkedHashMap<>();
        try (Statement ask = fresh.createStatement();
                ResultSet none = ask.executeQuery("select * from " + table + " where 1 = 0")) {
            ResultSetMetaData told = none.getMetaData();
            for (int i = 1; i <= told.getColumnCount(); i++)
                columns.put(told.getColumnName(i).toLowerCase(Locale.ROOT), told.getColumnType(i));
        }
        return columns;
    }

    /** Ids, days and the like are written as text, and read as such by the store. */
    private static void set(PreparedStatement insert, int at, int type, Object value) throws SQLException {
        if (value == null) insert.setNull(at, type);
        else if (type == Types.BOOLEAN || value instanceof Number) insert.setObject(at, value);
        else insert.setString(at, value.toString());
    }
}
