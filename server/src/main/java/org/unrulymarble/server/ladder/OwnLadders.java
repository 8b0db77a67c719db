package org.unrulymarble.server.ladder;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnLadders extends JpaRepository<OwnLadderRow, String> {
    List<OwnLadderRow> findAllByOrderById();
}
