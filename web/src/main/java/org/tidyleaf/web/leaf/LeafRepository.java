package org.tidyleaf.web.leaf;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface LeafRepository extends JpaRepository<LeafEntity, UUID> {

    /** What the desk lists, without the sources, which may be large. */
    @Query(
            "select new org.tidyleaf.web.leaf.LeafSummary(l.id, l.fileName, l.state, l.problem, l.title, l.questionCount,"
                    + " l.keyedCount, l.snagCount, l.spine, l.touchedAt) from LeafEntity l where l.ownerId = :ownerId"
                    + " order by l.createdAt desc")
    List<LeafSummary> summaries(UUID ownerId);

    Optional<LeafEntity> findByIdAndOwnerId(UUID id, UUID ownerId);

    /** Held until the transaction ends, so that two decisions never get the same number. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from LeafEntity l where l.id = :id and l.ownerId = :ownerId")
    Optional<LeafEntity> lock(UUID id, UUID ownerId);
}
