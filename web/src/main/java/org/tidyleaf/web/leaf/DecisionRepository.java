package org.tidyleaf.web.leaf;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DecisionRepository extends JpaRepository<DecisionEntity, DecisionEntity.Key> {

    @Query("select d from DecisionEntity d where d.key.leafId = :leafId order by d.key.seq")
    List<DecisionEntity> ofLeaf(UUID leafId);
}
