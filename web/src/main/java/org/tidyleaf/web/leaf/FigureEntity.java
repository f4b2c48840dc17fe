package org.tidyleaf.web.leaf;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.tidyleaf.source.Figure;

@Entity
@Table(name = "figure")
class FigureEntity {

    @Embeddable
    record Key(UUID leafId, String id) implements Serializable {}

    @EmbeddedId
    Key key;

    String mediaType;
    String alternative;
    byte[] bytes;

    /** For Hibernate. */
    protected FigureEntity() {}

    FigureEntity(UUID leafId, Figure figure) {
        this.key = new Key(leafId, figure.id());
        this.mediaType = figure.mediaType();
        this.alternative = figure.alternative();
        this.bytes = figure.bytes();
    }

    Figure figure() {
        return new Figure(key.id(), mediaType, alternative, bytes);
    }
}
