package org.tidyleaf.web.publish;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EditionRepository extends JpaRepository<EditionEntity, UUID> {
    Optional<EditionEntity> findFirstByLeafIdOrderByNumberDesc(UUID leafId);
}
