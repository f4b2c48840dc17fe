package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CandidateRepository extends JpaRepository<CandidateEntity, UUID> {
    List<CandidateEntity> findBySittingIdOrderByPlace(UUID sittingId);

    Optional<CandidateEntity> findBySittingIdAndCode(UUID sittingId, String code);

    boolean existsBySittingId(UUID sittingId);
}
