package org.tidyleaf.web.leaf;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** A colleague who works on a leaf with its owner. */
@Entity
@Table(name = "leaf_share")
class LeafShareEntity {

    @Embeddable
    record Key(UUID leafId, UUID accountId) implements Serializable {}

    @EmbeddedId
    Key key;

    Instant sharedAt;

    /** For Hibernate. */
    protected LeafShareEntity() {}

    LeafShareEntity(UUID leafId, UUID accountId, Instant sharedAt) {
        this.key = new Key(leafId, accountId);
        this.sharedAt = sharedAt;
    }
}
