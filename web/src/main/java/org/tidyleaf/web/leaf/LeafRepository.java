package org.tidyleaf.web.leaf;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface LeafRepository extends JpaRepository<LeafEntity, UUID> {

    /** Its owner and those it is shared with. */
    String MAY_WORK = "l.ownerId = :reader or exists (select 1 from LeafShareEntity s where s.key.leafId = l.id"
            + " and s.key.accountId = :reader)";

    /** What the desk lists, without the sources, which may be large. */
    @Query(
            "select new org.tidyleaf.web.leaf.LeafSummary(l.id, l.fileName, l.state, l.problem, l.title, l.questionCount,"
                    + " l.keyedCount, l.snagCount, l.spine, l.touchedAt) from LeafEntity l where (" + MAY_WORK
                    + ") order by l.createdAt desc")
    List<LeafSummary> summaries(UUID reader);

    /** @param reader its owner, or a colleague it is shared with */
    @Query("select l from LeafEntity l where l.id = :id and (" + MAY_WORK + ")")
    Optional<LeafEntity> find(UUID id, UUID reader);

    /** Held until the transaction ends, so that two decisions never get the same number. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from LeafEntity l where l.id = :id and (" + MAY_WORK + ")")
    Optional<LeafEntity> lock(UUID id, UUID reader);
}
