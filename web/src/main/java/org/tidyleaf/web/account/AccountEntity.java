package org.tidyleaf.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "account")
class AccountEntity {
    @Id
    UUID id;

    String name;
    String mail;
    String passwordHash;
    Instant createdAt;

    /** For Hibernate. */
    protected AccountEntity() {}

    AccountEntity(String name, String mail, String passwordHash, Instant createdAt) {
        this.id = UUID.randomUUID();
        this.name = name;
        this.mail = mail;
        this.passwordHash = passwordHash;
        this.createdAt = createdAt;
    }
}
