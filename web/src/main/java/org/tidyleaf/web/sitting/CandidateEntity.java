package org.tidyleaf.web.sitting;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A person on a sitting's list. */
@Entity
@Table(name = "candidate")
class CandidateEntity {
    @Id
    UUID id;

    UUID sittingId;
    int place;
    String name;
    String number;
    String mail;
    String code;
    int extraMinutes;

    /** For Hibernate. */
    protected CandidateEntity() {}

    CandidateEntity(UUID sittingId, int place, ClassList.Person person, String code) {
        this.id = UUID.randomUUID();
        this.sittingId = sittingId;
        this.place = place;
        this.name = person.name();
        this.number = person.number();
        this.mail = person.mail();
        this.code = code;
        this.extraMinutes = person.extra();
    }
}
