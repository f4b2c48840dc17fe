package org.tidyleaf.web.sharing;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface InvitationRepository extends JpaRepository<InvitationEntity, String> {
    Optional<InvitationEntity> findByCodeAndUsedAtIsNull(String code);

    List<InvitationEntity> findByLeafIdAndUsedAtIsNullOrderByMadeAt(UUID leafId);
}
