package org.tidyleaf.web.leaf;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "leaf")
class LeafEntity {
    @Id
    UUID id;

    UUID ownerId;
    String fileName;

    @Enumerated(EnumType.STRING)
    LeafState state;

    String problem = "";
    String title = "";
    int questionCount;
    int keyedCount;
    int snagCount;
    String spine = "";

    @JdbcTypeCode(SqlTypes.JSON)
    @Nullable
    String source;

    Instant createdAt;
    Instant touchedAt;

    /** For Hibernate. */
    protected LeafEntity() {}

    LeafEntity(UUID ownerId, String fileName, Instant now) {
        this.id = UUID.randomUUID();
        this.ownerId = ownerId;
        this.fileName = fileName;
        this.state = LeafState.WAITING;
        this.createdAt = now;
        this.touchedAt = now;
    }
}
