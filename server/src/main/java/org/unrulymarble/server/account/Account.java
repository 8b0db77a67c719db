package org.unrulymarble.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;

@Entity
public class Account {

    @Id
    private UUID id;

    @Column(unique = true)
    private String username;

    private String displayName;
    private String passwordHash;

    @Enumerated(EnumType.STRING)
    private Role role;

    protected Account() {}

    public Account(UUID id, String username, String displayName, String passwordHash, Role role) {
        this.id = id;
        this.username = username;
        this.displayName = displayName;
        this.passwordHash = passwordHash;
        this.role = role;
    }

    public UUID id() {
        return id;
    }

    String username() {
        return username;
    }

    String passwordHash() {
        return passwordHash;
    }

    SignedIn signedIn() {
        return new SignedIn(id, username, displayName, role);
    }
}
