package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.exchange.StoredJson;

@Entity
@Table(name = "sitting")
class SittingEntity {
    @Id
    UUID id;

    UUID editionId;
    UUID ownerId;
    String code;
    Instant openedAt;

    @Nullable
    Instant closedAt;

    @Nullable
    Instant releasedAt;

    @JdbcTypeCode(SqlTypes.JSON)
    @Nullable
    String rules;

    /** For Hibernate. */
    protected SittingEntity() {}

    SittingEntity(UUID editionId, UUID ownerId, String code, Rules rules, Instant openedAt) {
        this.id = UUID.randomUUID();
        this.editionId = editionId;
        this.ownerId = ownerId;
        this.code = code;
        this.rules = StoredJson.write(rules);
        this.openedAt = openedAt;
    }

    Rules rules() {
        return rules == null ? Rules.USUAL : StoredJson.read(rules, Rules.class);
    }

    /** Whether no answers are taken any more, whoever has how much time left. */
    boolean isClosed(Instant now) {
        return closedAt != null
                || rules().closes().filter(closes -> !now.isBefore(closes)).isPresent();
    }
}
