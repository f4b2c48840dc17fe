package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RegradeRepository extends JpaRepository<RegradeEntity, Long> {
    List<RegradeEntity> findBySittingIdOrderById(UUID sittingId);
}
