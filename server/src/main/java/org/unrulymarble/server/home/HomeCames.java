package org.unrulymarble.server.home;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface HomeCames extends JpaRepository<HomeCameRow, UUID> {
    List<HomeCameRow> findByCardIdInOrderByCameAt(Collection<UUID> cardIds);

    @Query("""
            select count(r) from HomeCameRow r, HomeCardRow c, HomeWeekRow w
            where r.cardId = c.id and c.weekId = w.id and w.classId = :classId and r.state = :state
            """)
    long countOfClass(UUID classId, HomeCameRow.State state);

    boolean existsByCardIdAndPracticeAndNumbers(UUID cardId, int practice, String numbers);
}
