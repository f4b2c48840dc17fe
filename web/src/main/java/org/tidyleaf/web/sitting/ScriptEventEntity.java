package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What a teacher did for a script. */
@Entity
@Table(name = "script_event")
class ScriptEventEntity {

    enum Kind {
        /** More minutes. */
        EXTENDED,
        /** Let in again after handing in; the note says when that was. */
        REOPENED
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    UUID scriptId;

    @Enumerated(EnumType.STRING)
    Kind kind;

    int minutes;
    String note;
    UUID authorId;
    Instant madeAt;

    /** For Hibernate. */
    protected ScriptEventEntity() {}

    ScriptEventEntity(UUID scriptId, Kind kind, int minutes, String note, UUID authorId, Instant madeAt) {
        this.scriptId = scriptId;
        this.kind = kind;
        this.minutes = minutes;
        this.note = note;
        this.authorId = authorId;
        this.madeAt = madeAt;
    }
}
