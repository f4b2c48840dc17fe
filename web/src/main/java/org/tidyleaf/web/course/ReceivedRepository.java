package org.tidyleaf.web.course;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReceivedRepository extends JpaRepository<ReceivedEntity, UUID> {
    List<ReceivedEntity> findTop50ByOrderByReceivedAtDesc();
}
