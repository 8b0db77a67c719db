package org.unrulymarble.server;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.boot.logging.LogLevel;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.Environment;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.unrulymarble.server.disk.Commands;
import org.unrulymarble.server.disk.StoreFile;

/** Starts the server, or makes or restores a backup. Honours {@code PORT} and {@code MARBLE_DATA}; the profile {@code demo} fills an empty store. */
@SpringBootApplication
@EnableScheduling
public class MarbleApplication {

    private static final int FIRST_PORT = 8080;

    public static void main(String[] args) {
        if (args.length > 0 && Commands.WORDS.contains(args[0])) {
            LoggingSystem.get(MarbleApplication.class.getClassLoader())
                    .setLogLevel(LoggingSystem.ROOT_LOGGER_NAME, LogLevel.ERROR);
            System.exit(new Commands(System.getenv(), System.out).run(List.of(args)));
        }
        String port = System.getenv("PORT");
        if (port == null && System.getProperty("server.port") == null)
            System.setProperty("server.port", Integer.toString(freePort()));
        SpringApplication app = new SpringApplication(MarbleApplication.class);
        app.addListeners((ApplicationListener<ApplicationEnvironmentPreparedEvent>) e -> {
            try {
                checkBeforeStart(e.getEnvironment());
            } catch (StoreFile.CannotStart told) {
                // Nothing has begun yet that would have to be ended; a trace would only hide the sentence.
                System.err.println(told.getMessage());
                System.exit(1);
            }
        });
        app.run(args);
    }

    /** Whatever would keep the server from starting is told in one sentence, before the data is touched. */
    private static void checkBeforeStart(Environment environment) {
        StoreFile store = new StoreFile(
                Path.of(environment.getRequiredProperty("marble.data")),
                environment.getRequiredProperty("marble.store"));
        String url = environment.getProperty("spring.datasource.url", "");
        if (!url.startsWith("jdbc:h2:file:")) return;
        int port = environment.getProperty("server.port", Integer.class, FIRST_PORT);
        if (port != 0 && !isFree(port))
            throw new StoreFile.CannotStart("Another program listens at port " + port
                    + ". Stop it, set PORT to another number, or leave PORT out and the next free one is taken.");
        store.checkBeforeStart(System.getenv());
        // After the last connection to the store is closed.
        SpringApplication.getShutdownHandlers().add(store::rememberAfterStop);
    }

    /** The first port from 8080 on that nobody listens at. */
    private static int freePort() {
        for (int port = FIRST_PORT; port < FIRST_PORT + 100; port++) if (isFree(port)) return port;
        return 0;
    }

    private static boolean isFree(int port) {
        try (ServerSocket socket = new ServerSocket()) {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(port));
            return true;
        } catch (IOException taken) {
            return false;
        }
    }
}
