package org.tidyleaf.web.leaf;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "decision")
class DecisionEntity {

    @Embeddable
    record Key(UUID leafId, int seq) implements Serializable {}

    @EmbeddedId
    Key key;

    @JdbcTypeCode(SqlTypes.JSON)
    String content;

    UUID authorId;
    Instant madeAt;

    /** For Hibernate. */
    protected DecisionEntity() {}

    DecisionEntity(UUID leafId, int seq, String content, UUID authorId, Instant madeAt) {
        this.key = new Key(leafId, seq);
        this.content = content;
        this.authorId = authorId;
        this.madeAt = madeAt;
    }
}
