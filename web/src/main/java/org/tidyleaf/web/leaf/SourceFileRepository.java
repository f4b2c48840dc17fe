package org.tidyleaf.web.leaf;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SourceFileRepository extends JpaRepository<SourceFileEntity, UUID> {}
