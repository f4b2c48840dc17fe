package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "answer")
class AnswerEntity {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    UUID scriptId;
    String questionId;

    @JdbcTypeCode(SqlTypes.JSON)
    String response;

    Instant givenAt;

    /** For Hibernate. */
    protected AnswerEntity() {}

    AnswerEntity(UUID scriptId, String questionId, String response, Instant givenAt) {
        this.scriptId = scriptId;
        this.questionId = questionId;
        this.response = response;
        this.givenAt = givenAt;
    }
}
