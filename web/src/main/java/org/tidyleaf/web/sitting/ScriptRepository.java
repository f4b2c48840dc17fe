package org.tidyleaf.web.sitting;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface ScriptRepository extends JpaRepository<ScriptEntity, UUID> {
    List<ScriptEntity> findBySittingIdOrderByBegunAt(UUID sittingId);

    long countByPersonId(UUID personId);

    List<ScriptEntity> findByPersonIdOrderByBegunAt(UUID personId);

    Optional<ScriptEntity> findByTokenHashAndSittingId(String tokenHash, UUID sittingId);

    /** Held until the transaction ends, so that nothing is saved after, or twice with, the handing in. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from ScriptEntity s where s.id = :id")
    Optional<ScriptEntity> lock(UUID id);
}
