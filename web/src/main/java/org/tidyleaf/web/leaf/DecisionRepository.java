package org.tidyleaf.web.leaf;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DecisionRepository extends JpaRepository<DecisionEntity, DecisionEntity.Key> {

    int countByKeyLeafId(UUID leafId);

    /** A decision as its author's name shows it. */
    interface HistoryRow {
        String getContent();

        String getAuthor();

        Instant getMadeAt();
    }

    @Query(value = """
                    select cast(d.content as text) as content, a.name as author, d.made_at as madeAt
                    from decision d join account a on a.id = d.author_id
                    where d.leaf_id = :leafId order by d.seq desc
                    """, nativeQuery = true)
    List<HistoryRow> history(UUID leafId);

    @Query("select d from DecisionEntity d where d.key.leafId = :leafId order by d.key.seq")
    List<DecisionEntity> ofLeaf(UUID leafId);
}
