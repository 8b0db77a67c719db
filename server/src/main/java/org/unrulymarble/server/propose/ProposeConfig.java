package org.unrulymarble.server.propose;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.unrulymarble.core.propose.Proposer;

/** The core's proposer with this server's solver behind it. */
@Configuration
class ProposeConfig {

    @Bean
    Proposer proposer(Proposer.Prover prover) {
        return new Proposer(prover);
    }
}
