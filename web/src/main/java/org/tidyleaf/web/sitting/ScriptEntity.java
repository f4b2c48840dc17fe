package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "script")
class ScriptEntity {
    @Id
    UUID id;

    UUID sittingId;
    String candidate;
    String tokenHash;
    Instant begunAt;

    @Nullable
    Instant handedInAt;

    /** For Hibernate. */
    protected ScriptEntity() {}

    ScriptEntity(UUID sittingId, String candidate, String tokenHash, Instant begunAt) {
        this.id = UUID.randomUUID();
        this.sittingId = sittingId;
        this.candidate = candidate;
        this.tokenHash = tokenHash;
        this.begunAt = begunAt;
    }
}
