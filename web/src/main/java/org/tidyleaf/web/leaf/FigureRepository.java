package org.tidyleaf.web.leaf;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FigureRepository extends JpaRepository<FigureEntity, FigureEntity.Key> {
    int countByKeyLeafId(UUID leaf);
}
