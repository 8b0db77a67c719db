package org.unrulymarble.server;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the server. Honours {@code PORT} and {@code MARBLE_DATA}; the profile {@code demo} fills an empty store. */
@SpringBootApplication
@EnableScheduling
public class MarbleApplication {

    private static final int FIRST_PORT = 8080;

    public static void main(String[] args) {
        if (System.getenv("PORT") == null && System.getProperty("server.port") == null)
            System.setProperty("server.port", Integer.toString(freePort()));
        SpringApplication.run(MarbleApplication.class, args);
    }

    /** The first port from 8080 on that nobody listens at. */
    private static int freePort() {
        for (int port = FIRST_PORT; port < FIRST_PORT + 100; port++) {
            try (ServerSocket socket = new ServerSocket()) {
                socket.setReuseAddress(true);
                socket.bind(new InetSocketAddress(port));
                return port;
            } catch (IOException taken) {
                // The next one, then.
            }
        }
        return 0;
    }
}
