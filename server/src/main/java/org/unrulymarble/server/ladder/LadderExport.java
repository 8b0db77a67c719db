package org.unrulymarble.server.ladder;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.unrulymarble.server.platform.Exported;

/** The school's own ladders for an export. */
@Configuration
class LadderExport {

    @Bean
    Exported laddersOut(LadderService ladders) {
        return Exported.ofSchool("ladders", row -> ladders.own().forEach(o -> row.accept(o.ladder())));
    }
}
