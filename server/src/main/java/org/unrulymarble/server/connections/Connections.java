package org.unrulymarble.server.connections;

import java.time.Duration;
import org.eclipse.jetty.http.pathmap.RegexPathSpec;
import org.eclipse.jetty.http.pathmap.ServletPathSpec;
import org.eclipse.jetty.server.ConnectionFactory;
import org.eclipse.jetty.server.Connector;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.HttpConfiguration;
import org.eclipse.jetty.server.NetworkConnectionLimit;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.server.handler.EagerContentHandler;
import org.eclipse.jetty.server.handler.QoSHandler;
import org.eclipse.jetty.server.handler.ThreadLimitHandler;
import org.springframework.boot.jetty.servlet.JettyServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.platform.ClientAddress;

/**
 * Nobody can keep the others out. A body is read before it is given a thread, and whoever sends it too slowly is sent away; one machine has a part of the
 * threads, and the taps of running lessons find room when all else waits.
 */
@Component
class Connections implements WebServerFactoryCustomizer<JettyServletWebServerFactory>, Ordered {

    /** Of all but taps and streams. */
    private static final int AT_ONCE = 60;

    private static final int AT_ONCE_FROM_ONE = 40;
    private static final int WAITING = 1_000;
    private static final Duration WAITS = Duration.ofSeconds(20);
    private static final long BODY_BYTES_A_SEC = 250;
    /** What is read without a thread; more than that, a file brought in, is read with one. */
    private static final long READ_AHEAD_BYTES = 64_000;

    private static final Duration IDLE = Duration.ofSeconds(30);
    private static final int CONNECTIONS = 6_000;
    private static final int CONNECTIONS_FROM_ONE = 2_000;
    private static final String TAPS = "/api/runs/events";
    private static final String STREAMS = "^/api/.*/stream$";

    private final ClientAddress address;
    private final PlainErrors errors;

    Connections(ClientAddress address, PlainErrors errors) {
        this.address = address;
        this.errors = errors;
    }

    /** After all others have added what they listen on. */
    @Override
    public int getOrder() {
        return LOWEST_PRECEDENCE;
    }

    @Override
    public void customize(JettyServletWebServerFactory factory) {
        factory.addServerCustomizers(this::guard);
    }

    private void guard(Server server) {
        FromOneMachine fromOne = new FromOneMachine(CONNECTIONS_FROM_ONE, address);
        for (Connector connector : server.getConnectors()) {
            ((ServerConnector) connector).setIdleTimeout(IDLE.toMillis());
            ((ServerConnector) connector).addBean(fromOne);
            for (ConnectionFactory way : connector.getConnectionFactories())
                if (way instanceof HttpConfiguration.ConnectionFactory http) {
                    http.getHttpConfiguration().setSendServerVersion(false);
                }
        }
        server.addBean(new NetworkConnectionLimit(CONNECTIONS, server));
        server.setErrorHandler(errors);
        Handler all = server.getHandler();
        Handler readAhead = new EagerContentHandler(
                perMachine(withRoomForTaps(all)),
                new EagerContentHandler.RetainedContentLoaderFactory(READ_AHEAD_BYTES, -1, false));
        server.setHandler(new SlowBodies(readAhead, BODY_BYTES_A_SEC));
    }

    private ThreadLimitHandler perMachine(Handler next) {
        ThreadLimitHandler limit = new ThreadLimitHandler(next, null, false) {
            @Override
            protected int getThreadLimit(String ip) {
                // Everybody behind the school's own proxy has its address.
                return address.isProxy(ip) ? 0 : super.getThreadLimit(ip);
            }
        };
        limit.setThreadLimit(AT_ONCE_FROM_ONE);
        return limit;
    }

    private static QoSHandler withRoomForTaps(Handler next) {
        QoSHandler room = new QoSHandler(next);
        room.setMaxRequestCount(AT_ONCE);
        room.setMaxSuspendedRequestCount(WAITING);
        room.setMaxSuspend(WAITS);
        room.setRejectStatusCode(HttpStatus.TOO_MANY_REQUESTS.value());
        // Taps do not wait for others, and a stream would hold its place for a lesson.
        room.exclude(new ServletPathSpec(TAPS), new RegexPathSpec(STREAMS));
        return room;
    }
}
