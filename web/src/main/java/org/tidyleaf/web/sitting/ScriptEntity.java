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

    /** On a sitting's list; null where anybody may sit. */
    @Nullable
    UUID candidateId;

    /** The id of the person's first script, shared by all further tries. */
    UUID personId;

    /** 0-based place of the furthest question reached, where there is no going back. */
    int furthest;

    /** Ids of the questions to come back to, with commas between. */
    String flags = "";

    /** For Hibernate. */
    protected ScriptEntity() {}

    ScriptEntity(UUID sittingId, String candidate, String tokenHash, Instant begunAt) {
        this.id = UUID.randomUUID();
        this.sittingId = sittingId;
        this.candidate = candidate;
        this.tokenHash = tokenHash;
        this.begunAt = begunAt;
        this.personId = id;
    }

    /** A script of somebody on the list. */
    ScriptEntity ofCandidate(UUID candidate) {
        candidateId = candidate;
        personId = candidate;
        return this;
    }

    /** A further try of the same person. */
    ScriptEntity after(ScriptEntity earlier) {
        candidateId = earlier.candidateId;
        personId = earlier.personId;
        return this;
    }
}
