package org.unrulymarble.server.device;

import java.time.Duration;
import java.util.Map;
import org.eclipse.jetty.ee11.webapp.WebAppContext;
import org.eclipse.jetty.ee11.websocket.server.config.JettyWebSocketServletContainerInitializer;
import org.springframework.boot.jetty.servlet.JettyServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.server.support.DefaultHandshakeHandler;
import org.springframework.web.socket.server.support.WebSocketHandlerMapping;
import org.springframework.web.socket.server.support.WebSocketHttpRequestHandler;

/**
 * Where devices are heard. Any page may open the line: it carries no cookie that means anything, only the code counts. By hand, since the usual
 * annotation brings a scheduler that takes the place of the server's own.
 */
@Configuration
class DeviceConfig {

    private static final int MOST_CHARACTERS = 4_096;
    private static final Duration QUIET = Duration.ofMinutes(1);

    @Bean
    WebSocketHandlerMapping deviceLines(DeviceLine line) {
        WebSocketHandlerMapping mapping = new WebSocketHandlerMapping();
        mapping.setUrlMap(Map.of("/api/devices", new WebSocketHttpRequestHandler(line, new DefaultHandshakeHandler())));
        mapping.setOrder(1);
        return mapping;
    }

    /** By hand, since the usual way puts a filter that copies headers before every request. */
    @Bean
    WebServerFactoryCustomizer<JettyServletWebServerFactory> lines() {
        return factory -> factory.addServerCustomizers(server -> server.getDescendants(WebAppContext.class)
                .forEach(context ->
                        JettyWebSocketServletContainerInitializer.configure(context, (servlets, container) -> {
                            container.setMaxTextMessageSize(MOST_CHARACTERS);
                            container.setIdleTimeout(QUIET);
                        })));
    }
}
