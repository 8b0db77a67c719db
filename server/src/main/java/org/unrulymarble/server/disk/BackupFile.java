package org.unrulymarble.server.disk;

import java.io.BufferedReader;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import net.lingala.zip4j.ZipFile;
import net.lingala.zip4j.exception.ZipException;
import net.lingala.zip4j.io.outputstream.ZipOutputStream;
import net.lingala.zip4j.model.FileHeader;
import net.lingala.zip4j.model.ZipParameters;
import net.lingala.zip4j.model.enums.EncryptionMethod;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A backup: a zip with one file of JSON lines a table, a row each, and a manifest that says how many rows and which digest each has. Everything in it is of
 * one moment. With a passphrase it is an AES-256 zip, which common archivers open too. docs/formats.md tells it.
 */
final class BackupFile {

    private static final String FORMAT = "unruly-marble-backup";
    private static final int VERSION = 1;
    private static final String MANIFEST = "manifest.json";
    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** What belongs to a running server and not to the school. */
    private static final List<String> LEFT_OUT =
            List.of("flyway_schema_history", "spring_session", "spring_session_attributes");

    private BackupFile() {}

    /** @param sha256 of the table's file, in hex */
    record Table(String name, long rows, String sha256) {}

    /**
     * @param made when, in ISO form
     * @param schema version of the tables' shape
     */
    record Manifest(String format, int version, String made, String schema, List<Table> tables) {
        long rows(String table) {
            return tables.stream()
                    .filter(t -> t.name().equals(table))
                    .mapToLong(Table::rows)
                    .sum();
        }
    }

    /** A backup that cannot be used, and why in words. */
    static final class Bad extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Bad(String why) {
            super(why);
        }

        Bad(String why, Throwable cause) {
            super(why, cause);
        }
    }

    /** Tables that hold what the school has. */
    static List<String> tables(Connection store) throws SQLException {
        List<String> names = new ArrayList<>();
        try (Statement ask = store.createStatement();
                ResultSet found = ask.executeQuery(
                        "select lower(table_name) from information_schema.tables where lower(table_schema) = 'public' order by 1")) {
            while (found.next()) if (!LEFT_OUT.contains(found.getString(1))) names.add(found.getString(1));
        }
        return names;
    }

    static long count(Connection store, String table) throws SQLException {
        try (Statement ask = store.createStatement();
                ResultSet found = ask.executeQuery("select count(*) from " + table)) {
            found.next();
            return found.getLong(1);
        }
    }

    private static String schema(Connection store) throws SQLException {
        try (Statement ask = store.createStatement();
                ResultSet found = ask.executeQuery(
                        "select \"version\" from \"flyway_schema_history\" where \"success\" order by \"installed_rank\" desc")) {
            if (!found.next()) throw new SQLException("the store has no version");
            return found.getString(1);
        }
    }

    /**
     * Writes all of the store as it is at one moment, while others go on with it.
     *
     * @param passphrase or null for none
     * @throws Bad where what was written is not what was counted
     */
    static Manifest write(Connection store, Path file, Instant made, char[] passphrase)
            throws SQLException, IOException {
        boolean auto = store.getAutoCommit();
        store.setAutoCommit(false);
        store.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
        Files.deleteIfExists(file);
        OwnFiles.create(file);
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file), passphrase)) {
            List<Table> told = new ArrayList<>();
            for (String table : tables(store)) {
                long counted = count(store, table);
                Table written = table(store, table, zip, passphrase);
                if (written.rows() != counted)
                    throw new Bad(
                            "of " + table + " " + counted + " rows were there and " + written.rows() + " were written");
                told.add(written);
            }
            Manifest manifest = new Manifest(FORMAT, VERSION, made.toString(), schema(store), told);
            zip.putNextEntry(entry(MANIFEST, passphrase));
            zip.write(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
            zip.closeEntry();
            return manifest;
        } finally {
            store.rollback();
            store.setAutoCommit(auto);
        }
    }

    private static Table table(Connection store, String name, ZipOutputStream zip, char[] passphrase)
            throws SQLException, IOException {
        MessageDigest digest = sha256();
        zip.putNextEntry(entry(name + ".jsonl", passphrase));
        long rows = 0;
        // What closes the rows does not close the zip.
        OutputStream to = new DigestOutputStream(
                new FilterOutputStream(zip) {
                    @Override
                    public void write(byte[] bytes, int from, int many) throws IOException {
                        out.write(bytes, from, many);
                    }
                },
                digest);
        try (Statement ask = store.createStatement(ResultSet.TYPE_FORWARD_ONLY, ResultSet.CONCUR_READ_ONLY)) {
            ask.setFetchSize(1_000);
            try (ResultSet row = ask.executeQuery("select * from " + name)) {
                ResultSetMetaData columns = row.getMetaData();
                for (; row.next(); rows++) {
                    to.write(JSON.writeValueAsBytes(cells(row, columns)));
                    to.write('\n');
                }
            }
        }
        zip.closeEntry();
        return new Table(name, rows, HexFormat.of().formatHex(digest.digest()));
    }

    private static Map<String, Object> cells(ResultSet row, ResultSetMetaData columns) throws SQLException {
        Map<String, Object> cells = new LinkedHashMap<>();
        for (int i = 1; i <= columns.getColumnCount(); i++) {
            Object cell = switch (columns.getColumnType(i)) {
                case Types.BOOLEAN, Types.BIT -> row.getBoolean(i);
                case Types.INTEGER, Types.SMALLINT, Types.BIGINT -> row.getLong(i);
                case Types.DOUBLE, Types.REAL, Types.FLOAT -> row.getDouble(i);
                default -> row.getString(i);
            };
            cells.put(columns.getColumnName(i).toLowerCase(java.util.Locale.ROOT), row.wasNull() ? null : cell);
        }
        return cells;
    }

    /**
     * Opens a backup, reads all of it and compares it with its manifest.
     *
     * @throws Bad with the reason
     */
    static Manifest verify(Path file, char[] passphrase) {
        Manifest manifest = manifest(file, passphrase);
        for (Table table : manifest.tables()) {
            MessageDigest digest = sha256();
            long[] rows = {0};
            rows(file, passphrase, table.name(), digest, line -> rows[0]++);
            if (rows[0] != table.rows())
                throw new Bad("of " + table.name() + " it says " + table.rows() + " rows and holds " + rows[0]);
            if (!HexFormat.of().formatHex(digest.digest()).equals(table.sha256()))
                throw new Bad("the rows of " + table.name() + " are not those that were written");
        }
        return manifest;
    }

    /** @throws Bad for what is no backup, or not with this passphrase */
    static Manifest manifest(Path file, char[] passphrase) {
        if (!Files.isReadable(file)) throw new Bad("there is no such file, or it may not be read");
        try (ZipFile zip = new ZipFile(file.toFile(), passphrase)) {
            if (!zip.isValidZipFile()) throw new Bad("it is no backup, or it is cut off");
            if (zip.isEncrypted() && passphrase == null)
                throw new Bad("it is encrypted: set MARBLE_BACKUP_PASSPHRASE to the passphrase that it was made with");
            FileHeader header = zip.getFileHeader(MANIFEST);
            if (header == null) throw new Bad("it is no backup of this application");
            try (InputStream in = zip.getInputStream(header)) {
                Manifest manifest = JSON.readValue(in.readAllBytes(), Manifest.class);
                if (!FORMAT.equals(manifest.format()) || manifest.version() > VERSION)
                    throw new Bad("it was made by a newer version of this application");
                return manifest;
            }
        } catch (ZipException e) {
            throw new Bad(
                    e.getType() == ZipException.Type.WRONG_PASSWORD
                            ? "the passphrase is not the one that it was made with"
                            : "it is damaged",
                    e);
        } catch (IOException | JacksonException e) {
            throw new Bad("it is damaged", e);
        }
    }

    /** Takes one line after the other. */
    interface Line {
        void take(Map<String, Object> row) throws SQLException;
    }

    /** Each row of a table, in the order in which it was written. */
    static void rows(Path file, char[] passphrase, String table, MessageDigest digest, Line each) {
        try (ZipFile zip = new ZipFile(file.toFile(), passphrase)) {
            FileHeader header = zip.getFileHeader(table + ".jsonl");
            if (header == null) throw new Bad("the rows of " + table + " are missing");
            try (InputStream raw = zip.getInputStream(header);
                    BufferedReader lines = new BufferedReader(new InputStreamReader(
                            digest == null ? raw : new DigestInputStream(raw, digest), StandardCharsets.UTF_8))) {
                for (String line = lines.readLine(); line != null; line = lines.readLine())
                    each.take(JSON.readerForMapOf(Object.class).readValue(line));
            }
        } catch (IOException | JacksonException e) {
            throw new Bad("the rows of " + table + " are damaged", e);
        } catch (SQLException e) {
            throw new Bad("the rows of " + table + " do not fit: " + e.getMessage(), e);
        }
    }

    private static ZipParameters entry(String name, char[] passphrase) {
        ZipParameters entry = new ZipParameters();
        entry.setFileNameInZip(name);
        entry.setEncryptFiles(passphrase != null);
        if (passphrase != null) entry.setEncryptionMethod(EncryptionMethod.AES);
        return entry;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
