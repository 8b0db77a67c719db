package org.unrulymarble.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

@Configuration
class SessionConfig {

    /**
     * That a session was used is written down once a minute and not with every tap: each writing is a commit to the disk. A session's id never
     * changes while it lives, so nothing else is lost by leaving it out.
     */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> calmSessions() {
        return repository -> repository.setUpdateSessionQuery("""
                update %TABLE_NAME%
                set session_id = ?, last_access_time = ?, max_inactive_interval = ?, expiry_time = ?, principal_name = ?
                where primary_id = ? and last_access_time < extract(epoch from current_timestamp) * 1000 - 60000
                """);
    }
}
