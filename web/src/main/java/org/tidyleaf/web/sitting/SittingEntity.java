package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "sitting")
class SittingEntity {
    @Id
    UUID id;

    UUID editionId;
    UUID ownerId;
    String code;
    Instant openedAt;

    @Nullable
    Instant closedAt;

    /** For Hibernate. */
    protected SittingEntity() {}

    SittingEntity(UUID editionId, UUID ownerId, String code, Instant openedAt) {
        this.id = UUID.randomUUID();
        this.editionId = editionId;
        this.ownerId = ownerId;
        this.code = code;
        this.openedAt = openedAt;
    }
}
