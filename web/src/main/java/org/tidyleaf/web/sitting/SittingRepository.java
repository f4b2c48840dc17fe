package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SittingRepository extends JpaRepository<SittingEntity, UUID> {
    Optional<SittingEntity> findByCode(String code);

    Optional<SittingEntity> findByIdAndOwnerId(UUID id, UUID ownerId);

    List<SittingEntity> findByOwnerIdOrderByOpenedAtDesc(UUID ownerId);
}
