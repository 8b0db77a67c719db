package org.unrulymarble.server.device;

import java.time.Duration;
import org.eclipse.jetty.ee11.webapp.WebAppContext;
import org.eclipse.jetty.ee11.websocket.server.config.JettyWebSocketServletContainerInitializer;
import org.springframework.boot.jetty.servlet.JettyServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where devices are heard. Any page may open the line: it carries no cookie that means anything, only the code counts. */
@Configuration
@EnableWebSocket
class DeviceConfig implements WebSocketConfigurer {

    private static final int MOST_CHARACTERS = 4_096;
    private static final Duration QUIET = Duration.ofMinutes(1);

    private final DeviceLine line;

    DeviceConfig(DeviceLine line) {
        this.line = line;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(line, "/api/devices").setAllowedOriginPatterns("*");
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
