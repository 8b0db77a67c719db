package org.unrulymarble.server.home;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.security.SecureRandom;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HexFormat;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.json.JsonMapper;

@Entity
@Table(name = "home_card")
public class HomeCardRow {

    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int KEY_BYTES = 16;

    @Id
    private UUID id;

    private UUID weekId;
    private UUID pupilId;
    /** 1, or 2 for the other home of a pupil who has two. */
    private int home;

    private int cardNumber;

    /** By which its codes are known as its own, in hexadecimal. */
    private String secret;

    /** The core's practices as JSON: always read and written whole. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    private String body;

    private Instant withdrawnAt;

    /** Of the address that leads to it, or null where none does. */
    private String linkHash;

    private LocalDate linkUntil;

    protected HomeCardRow() {}

    HomeCardRow(UUID weekId, UUID pupilId, int home, int cardNumber, String body) {
        this.home = home;
        this.id = UUID.randomUUID();
        this.weekId = weekId;
        this.pupilId = pupilId;
        made(cardNumber, body);
    }

    /** Other practices in the place of those that were: a card of another number, so that codes of the one before are not taken for its own. */
    void made(int number, String practices) {
        cardNumber = number;
        byte[] key = new byte[KEY_BYTES];
        RANDOM.nextBytes(key);
        secret = HexFormat.of().formatHex(key);
        body = practices;
        linkHash = null;
        linkUntil = null;
    }

    /** Its codes are taken no more, and no address leads to it. */
    void withdraw(Instant at) {
        if (withdrawnAt == null) withdrawnAt = at;
        linkHash = null;
        linkUntil = null;
    }

    void link(String hash, LocalDate until) {
        linkHash = hash;
        linkUntil = until;
    }

    LocalDate linkUntil() {
        return linkUntil;
    }

    UUID id() {
        return id;
    }

    UUID weekId() {
        return weekId;
    }

    UUID pupilId() {
        return pupilId;
    }

    int home() {
        return home;
    }

    int number() {
        return cardNumber;
    }

    String secret() {
        return secret;
    }

    byte[] key() {
        return HexFormat.of().parseHex(secret);
    }

    CardBody read(JsonMapper json) {
        return json.readValue(body, CardBody.class);
    }

    boolean withdrawn() {
        return withdrawnAt != null;
    }
}
