package org.unrulymarble.server.store;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface Classes extends JpaRepository<SchoolClass, UUID> {

    @Query("select c from SchoolClass c where c.teacherId = :account or :account member of c.helperIds order by c.name")
    List<SchoolClass> of(UUID account);

    @Query("select p from Pupil p join fetch p.schoolClass where p.id = :pupil")
    Optional<Pupil> pupil(UUID pupil);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update Pupil p set p.schoolClass = :to, p.place = :place, p.leftOn = null where p.id = :pupil")
    void move(UUID pupil, SchoolClass to, int place);

    @Query(value = "select count(*) from account where id in (:ids)", nativeQuery = true)
    long accounts(Collection<UUID> ids);
}
