package org.unrulymarble.server.home;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.unrulymarble.server.store.Pupil;

interface HomeCards extends JpaRepository<HomeCardRow, UUID> {
    List<HomeCardRow> findByWeekIdInOrderByCardNumber(Collection<UUID> weekIds);

    Optional<HomeCardRow> findByLinkHash(String hash);

    Optional<HomeCardRow> findByCardNumber(int cardNumber);

    List<HomeCardRow> findByPupilIdOrderByCardNumber(UUID pupilId);

    long countByPupilId(UUID pupilId);

    @Query("select p from Pupil p where p.id = :pupilId")
    Pupil pupil(UUID pupilId);

    @Query("select count(p) > 0 from Pupil p where p.id = :pupilId")
    boolean isPupil(UUID pupilId);

    @Query("select coalesce(max(c.cardNumber), -1) from HomeCardRow c")
    int highest();
}
