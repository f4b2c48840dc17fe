package org.tidyleaf.web.leaf;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LeafShareRepository extends JpaRepository<LeafShareEntity, LeafShareEntity.Key> {
    List<LeafShareEntity> findByKeyLeafIdOrderBySharedAt(UUID leafId);
}
