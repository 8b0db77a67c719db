package org.unrulymarble.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** The packed server as its own process, with its own data folder; can be killed and started again over the same data. */
public final class MarbleServer implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofMinutes(6);
    private static final long ASK_AGAIN_NANOS = TimeUnit.MILLISECONDS.toNanos(50);

    private final Path data;
    private final boolean demo;
    private final Path unpacked;
    private final int port;
    private int httpsPort;
    private String heap;
    private Process process;

    public MarbleServer(boolean demo) {
        this(demo, null);
    }

    /** @param unpacked folder of the unpacked jar with its class archive, as ./marble starts it; null for the jar itself */
    public MarbleServer(boolean demo, Path unpacked) {
        this.unpacked = unpacked;
        try {
            this.data = Files.createTempDirectory("marble-data");
            try (ServerSocket socket = new ServerSocket(0)) {
                this.port = socket.getLocalPort();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        this.demo = demo;
    }

    /** How much memory it gets from its next start on, such as 512m. */
    public MarbleServer heap(String most) {
        heap = most;
        return this;
    }

    /** From its next start on it is open to other machines too, by an encrypted connection. */
    public MarbleServer encrypted() {
        try (ServerSocket socket = new ServerSocket(0)) {
            httpsPort = socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return this;
    }

    public int httpsPort() {
        return httpsPort;
    }

    /** Starts it and waits until it answers. */
    public MarbleServer start() {
        try {
            List<String> command = new ArrayList<>(List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString()));
            if (heap != null) command.add("-Xmx" + heap);
            if (unpacked == null) command.addAll(List.of("-XX:TieredStopAtLevel=1", "-jar", jar().toString()));
            else
                command.addAll(
                        List.of("-XX:+UseParallelGC", "-XX:SharedArchiveFile=classes.jsa", "-jar", "marble.jar"));
            if (demo) command.add("--spring.profiles.active=demo");
            ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
            if (unpacked != null) builder.directory(unpacked.toFile());
            builder.redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()));
            builder.environment().put("PORT", Integer.toString(port));
            builder.environment().put("MARBLE_DATA", data.toString());
            builder.environment().put("MARBLE_HTTPS", Boolean.toString(httpsPort > 0));
            if (httpsPort > 0) builder.environment().put("MARBLE_HTTPS_PORT", Integer.toString(httpsPort));
            process = builder.start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        awaitReady();
        return this;
    }

    /** kill -9: no farewell, no flushing. */
    public MarbleServer kill() {
        process.destroyForcibly();
        awaitEnd();
        return this;
    }

    /** Of its plain way in. */
    public int port() {
        return port;
    }

    public String address() {
        return "http://localhost:" + port;
    }

    public Path data() {
        return data;
    }

    /** All that it has printed. */
    public String printed() {
        try {
            return Files.readString(log());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        stop();
    }

    /** As a teacher stops it; it can be started again. */
    public void stop() {
        process.destroy();
        awaitEnd();
    }

    private Path log() {
        return data.resolve("printed.txt");
    }

    private static Path jar() {
        Path jar = Path.of(System.getProperty("marble.jar", "../server/target/marble.jar"));
        if (!Files.isRegularFile(jar))
            throw new IllegalStateException("build the server first: " + jar + " is missing");
        return jar.toAbsolutePath();
    }

    private void awaitEnd() {
        try {
            if (!process.waitFor(30, TimeUnit.SECONDS)) throw new IllegalStateException("the server does not stop");
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private void awaitReady() {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest health = HttpRequest.newBuilder(URI.create(address() + "/actuator/health/readiness"))
                .timeout(Duration.ofSeconds(2))
                .build();
        Instant end = Instant.now().plus(PATIENCE);
        while (Instant.now().isBefore(end)) {
            if (!process.isAlive()) throw new IllegalStateException("the server ended: " + printed());
            try {
                if (client.send(health, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) return;
            } catch (IOException notYet) {
                // It does not listen yet.
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            // It is still starting or filling; asking without a pause would take the time that it needs.
            LockSupport.parkNanos(ASK_AGAIN_NANOS);
        }
        throw new IllegalStateException("the server is not ready: " + printed());
    }
}
