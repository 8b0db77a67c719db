package org.unrulymarble.server.record;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface LearntSkillRows extends JpaRepository<LearntSkillRow, Integer> {

    Optional<LearntSkillRow> findFirstByOrderByVersionDesc();
}
