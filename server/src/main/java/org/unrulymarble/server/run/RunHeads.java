package org.unrulymarble.server.run;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface RunHeads extends JpaRepository<RunHead, UUID> {

    /** Two devices append to the same run one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select r from RunHead r where r.id = :id")
    Optional<RunHead> lock(UUID id);
}
