package org.unrulymarble.server.account;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.config.annotation.SpringSessionDataSource;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

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

    /** Sessions come and go on connections of their own: what else the request does in a transaction, reading only it may be, is not theirs. */
    @Bean(defaultCandidate = false)
    @SpringSessionDataSource
    DataSource sessionStore(DataSource store) {
        return new DelegatingDataSource(store);
    }

    /** Each request reads its session: a transaction of the plain kind does, without a session of Hibernate's around it. */
    @Bean
    TransactionOperations springSessionTransactionOperations(@SpringSessionDataSource DataSource sessionStore) {
        TransactionTemplate plain = new TransactionTemplate(new JdbcTransactionManager(sessionStore));
        plain.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return plain;
    }

    /** Everything else has the usual one, which would not be made beside another. */
    @Bean
    @Primary
    TransactionTemplate transactionTemplate(PlatformTransactionManager transactions) {
        return new TransactionTemplate(transactions);
    }
}
