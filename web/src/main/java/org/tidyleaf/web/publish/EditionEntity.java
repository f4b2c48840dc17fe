package org.tidyleaf.web.publish;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "edition")
class EditionEntity {
    @Id
    UUID id;

    UUID leafId;
    int number;

    @JdbcTypeCode(SqlTypes.JSON)
    String quiz;

    String digest;
    Instant publishedAt;

    /** For Hibernate. */
    protected EditionEntity() {}

    EditionEntity(UUID leafId, int number, String quiz, String digest, Instant publishedAt) {
        this.id = UUID.randomUUID();
        this.leafId = leafId;
        this.number = number;
        this.quiz = quiz;
        this.digest = digest;
        this.publishedAt = publishedAt;
    }
}
