package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A sitting is marked by another edition's keys from then on. */
@Entity
@Table(name = "regrade")
class RegradeEntity {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    UUID sittingId;
    UUID editionId;
    String changes;
    UUID authorId;
    Instant madeAt;

    /** For Hibernate. */
    protected RegradeEntity() {}

    RegradeEntity(UUID sittingId, UUID editionId, String changes, UUID authorId, Instant madeAt) {
        this.sittingId = sittingId;
        this.editionId = editionId;
        this.changes = changes;
        this.authorId = authorId;
        this.madeAt = madeAt;
    }
}
