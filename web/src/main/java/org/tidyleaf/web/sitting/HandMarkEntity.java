package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.marking.HandMark;

@Entity
@Table(name = "hand_mark")
class HandMarkEntity {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    UUID scriptId;
    String questionId;
    BigDecimal points;
    String note;
    UUID authorId;
    Instant givenAt;

    /** For Hibernate. */
    protected HandMarkEntity() {}

    HandMarkEntity(UUID scriptId, String questionId, HandMark mark, UUID authorId, Instant givenAt) {
        this.scriptId = scriptId;
        this.questionId = questionId;
        this.points = mark.points();
        this.note = mark.note();
        this.authorId = authorId;
        this.givenAt = givenAt;
    }

    HandMark mark() {
        return new HandMark(points, note);
    }
}
