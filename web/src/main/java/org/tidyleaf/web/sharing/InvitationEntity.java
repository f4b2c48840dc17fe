package org.tidyleaf.web.sharing;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A leaf shared with somebody who has no account yet. */
@Entity
@Table(name = "invitation")
class InvitationEntity {
    @Id
    String code;

    UUID leafId;
    String mail;
    Instant madeAt;

    @Nullable
    Instant usedAt;

    /** For Hibernate. */
    protected InvitationEntity() {}

    InvitationEntity(String code, UUID leafId, String mail, Instant madeAt) {
        this.code = code;
        this.leafId = leafId;
        this.mail = mail;
        this.madeAt = madeAt;
    }
}
