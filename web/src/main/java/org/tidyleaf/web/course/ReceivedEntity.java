package org.tidyleaf.web.course;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;

@Entity
@Table(name = "received_package")
class ReceivedEntity {
    @Id
    UUID id;

    String name;
    String title;
    String standard;
    String items;
    String points;
    int pictures;
    String draws;
    String faults;
    int size;
    Instant receivedAt;

    /** For Hibernate. */
    protected ReceivedEntity() {}

    ReceivedEntity(String name, PackageLook look, int size, Instant receivedAt) {
        this.id = UUID.randomUUID();
        this.name = name;
        this.title = look.title();
        this.standard = look.standard();
        this.items = look.items().entrySet().stream()
                .map((Map.Entry<String, Integer> kind) -> kind.getValue() + " " + kind.getKey())
                .collect(Collectors.joining(", "));
        this.points = look.points().stripTrailingZeros().toPlainString();
        this.pictures = look.pictures();
        this.draws = String.join("; ", look.draws());
        this.faults = String.join("; ", look.faults());
        this.size = size;
        this.receivedAt = receivedAt;
    }
}
