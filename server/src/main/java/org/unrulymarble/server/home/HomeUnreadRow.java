package org.unrulymarble.server.home;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;

/** A code that came back and could not be read: it waits until it is put right or dropped. */
@Entity
@Table(name = "home_unread")
class HomeUnreadRow {

    /** Letters and digits as somebody may have written a code; anything else that was pasted is not kept. */
    private static final Pattern LIKE_A_CODE = Pattern.compile("(?=.*\\d)[\\p{Alnum} -]{6,40}");

    private static final Set<CameService.Wrong> MENDABLE = Set.of(
            CameService.Wrong.CHARACTER,
            CameService.Wrong.LENGTH,
            CameService.Wrong.CHECK,
            CameService.Wrong.NOT_THIS_CARD,
            CameService.Wrong.NO_SUCH_CARD);

    @Id
    private UUID id;

    private UUID classId;
    private String line;

    @Enumerated(EnumType.STRING)
    private CameService.Wrong wrong;

    private Instant cameAt;

    protected HomeUnreadRow() {}

    HomeUnreadRow(UUID classId, String line, CameService.Wrong wrong, Instant cameAt) {
        this.id = UUID.randomUUID();
        this.classId = classId;
        this.line = line;
        this.wrong = wrong;
        this.cameAt = cameAt;
    }

    static boolean keeps(String line, CameService.Wrong wrong) {
        return MENDABLE.contains(wrong) && LIKE_A_CODE.matcher(line).matches();
    }

    UUID id() {
        return id;
    }

    UUID classId() {
        return classId;
    }

    String line() {
        return line;
    }

    CameService.Wrong wrong() {
        return wrong;
    }

    Instant cameAt() {
        return cameAt;
    }
}
