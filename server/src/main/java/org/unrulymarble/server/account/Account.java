package org.unrulymarble.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** Somebody who may come in: with a password, or first with a one-time code that is good until {@code codeUntil}. */
@Entity
public class Account {

    @Id
    private UUID id;

    @Column(unique = true)
    private String username;

    private String displayName;
    private String passwordHash;
    private String codeHash;
    private Long codeUntil;

    @Enumerated(EnumType.STRING)
    private Role role;

    private boolean active = true;

    @Version
    private long version;

    protected Account() {}

    Account(UUID id, String username, String displayName, Role role) {
        this.id = id;
        this.username = username;
        this.displayName = displayName;
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

    /** From now on this password lets in, and no code. */
    void letInBy(String newPasswordHash) {
        passwordHash = newPasswordHash;
        codeHash = null;
        codeUntil = null;
    }

    /** From now on only this code lets in, until then. */
    void letInOnce(String newCodeHash, Instant until) {
        passwordHash = null;
        codeHash = newCodeHash;
        codeUntil = until.toEpochMilli();
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

    public String username() {
        return username;
    }

    /** Null where nobody has set a password yet. */
    String passwordHash() {
        return passwordHash;
    }

    /** Null where no code lets in. */
    String codeHash(Instant now) {
        return codeUntil != null && now.toEpochMilli() < codeUntil ? codeHash : null;
    }

    /** Until when a code lets in, or null. */
    Long codeUntil() {
        return codeUntil;
    }

    SignedIn signedIn() {
        return new SignedIn(id, username, displayName, role);
    }
}
