package org.unrulymarble.server.disk;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32C;

/**
 * Checksums of an H2 file, kept beside it. H2 writes its file in chunks that never change once they are written; it looks at their heads and not at what
 * is in them, so that a byte that changed on the disk would be read as if it belonged there. Here each chunk has a checksum that is compared later.
 */
final class StoreSums {

    private static final int BLOCK = 4096;
    private static final int FOOTER = 128;
    private static final int HEAD = 1024;
    private static final Pattern CHUNK =
            Pattern.compile("chunk:([0-9a-f]+),.*?len:([0-9a-f]+),.*?version:([0-9a-f]+)[,\n]", Pattern.DOTALL);
    private static final String CLEAN = "clean";

    private StoreSums() {}

    /** Which chunk, and where it lies. */
    private record Chunk(String id, String version, long block, int blocks) {
        long number() {
            return Long.parseLong(version, 16);
        }
    }

    static Path beside(Path file) {
        return file.resolveSibling(file.getFileName().toString().replace(".mv.db", "") + ".sums");
    }

    /**
     * Remembers what the file is.
     *
     * @param clean whether nobody has it open any more, so that nothing may change until it is opened again
     */
    static void remember(Path file, boolean clean) throws IOException {
        List<String> lines = new ArrayList<>();
        if (clean) lines.add(CLEAN + " " + Files.size(file) + " " + Long.toHexString(whole(file)));
        Map<Chunk, Long> sums = sums(file);
        // What was written last may not have reached the disk: after a failure another chunk of that number may stand
        // there.
        if (!clean)
            sums.keySet().stream().max(Comparator.comparing(Chunk::number)).ifPresent(sums::remove);
        sums.forEach((c, sum) -> lines.add(
                c.id() + " " + c.version() + " " + c.block() + " " + c.blocks() + " " + Long.toHexString(sum)));
        Path next = beside(file).resolveSibling(beside(file).getFileName() + ".part");
        Files.deleteIfExists(next);
        OwnFiles.create(next);
        Files.write(next, lines);
        Files.move(next, beside(file), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    /** What is wrong with the file in words, or null where it is what it was, or where nobody knows what it was. */
    static String wrong(Path file) throws IOException {
        if (!Files.exists(beside(file))) return null;
        Map<Chunk, Long> now = sums(file);
        for (String line : Files.readAllLines(beside(file))) {
            String[] told = line.split(" ");
            if (told[0].equals(CLEAN)) {
                long was = Long.parseLong(told[1]);
                if (Files.size(file) < was) return "it is cut off: it was " + was + " bytes long";
                if (whole(file) != Long.parseLong(told[2], 16)) return "bytes in it have changed since it was closed";
                return null;
            }
            Chunk chunk = new Chunk(told[0], told[1], Long.parseLong(told[2]), Integer.parseInt(told[3]));
            Long sum = now.get(chunk);
            // While it was open, a chunk that was not needed any more may have been written over.
            if (sum != null && sum != Long.parseLong(told[4], 16))
                return "bytes in it have changed since they were written (from byte " + chunk.block() * BLOCK + " on)";
        }
        return null;
    }

    private static long whole(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ)) {
            return sum(channel, 0, channel.size());
        }
    }

    private static long sum(FileChannel channel, long from, long to) throws IOException {
        CRC32C sum = new CRC32C();
        ByteBuffer buffer = ByteBuffer.allocate(BLOCK * 64);
        for (long at = from; at < to; ) {
            buffer.clear().limit((int) Math.min(buffer.capacity(), to - at));
            int read = channel.read(buffer, at);
            if (read < 0) break;
            sum.update(buffer.flip());
            at += read;
        }
        return sum.getValue();
    }

    private static Map<Chunk, Long> sums(Path file) throws IOException {
        Map<Chunk, Long> sums = new LinkedHashMap<>();
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ)) {
            long blocks = channel.size() / BLOCK;
            for (long at = 0; at < blocks; ) {
                Chunk chunk = chunk(channel, at, blocks);
                if (chunk == null) {
                    at++;
                    continue;
                }
                sums.put(chunk, sum(channel, at * BLOCK, (at + chunk.blocks()) * BLOCK));
                at += chunk.blocks();
            }
        }
        return sums;
    }

    /** The chunk that begins there, if one does and is whole. */
    private static Chunk chunk(FileChannel channel, long block, long blocks) throws IOException {
        Matcher head = CHUNK.matcher(text(channel, block * BLOCK, HEAD));
        if (!head.lookingAt()) return null;
        long length = Long.parseLong(head.group(2), 16);
        if (length < 1 || block + length > blocks) return null;
        String foot = text(channel, (block + length) * BLOCK - FOOTER, FOOTER);
        boolean whole =
                foot.startsWith("chunk:" + head.group(1) + ",") && foot.contains("version:" + head.group(3) + ",");
        return whole ? new Chunk(head.group(1), head.group(3), block, (int) length) : null;
    }

    private static String text(FileChannel channel, long from, int length) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(length);
        while (bytes.hasRemaining()) if (channel.read(bytes, from + bytes.position()) < 0) break;
        return new String(bytes.array(), 0, bytes.position(), StandardCharsets.ISO_8859_1);
    }
}
