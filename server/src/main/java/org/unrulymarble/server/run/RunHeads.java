package org.unrulymarble.server.run;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RunHeads extends JpaRepository<RunHead, UUID> {}
