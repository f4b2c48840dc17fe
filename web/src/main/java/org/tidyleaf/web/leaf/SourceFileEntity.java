package org.tidyleaf.web.leaf;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** The file of a leaf as it came, kept for ever. */
@Entity
@Table(name = "source_file")
class SourceFileEntity {
    @Id
    UUID leafId;

    byte[] bytes;

    /** For Hibernate. */
    protected SourceFileEntity() {}

    SourceFileEntity(UUID leafId, byte[] bytes) {
        this.leafId = leafId;
        this.bytes = bytes;
    }
}
