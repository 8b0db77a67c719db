package org.unrulymarble.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
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

    private boolean active = true;

    @Version
    private long version;

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

    /** Whatever was set; an account that is closed cannot sign in. */
    void change(String newDisplayName, Role newRole, boolean newActive) {
        displayName = newDisplayName;
        role = newRole;
        active = newActive;
    }

    void passwordHash(String newHash) {
        passwordHash = newHash;
    }

    public String displayName() {
        return displayName;
    }

    public Role role() {
        return role;
    }

    public boolean active() {
        return active;
    }

    long version() {
        return version;
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
