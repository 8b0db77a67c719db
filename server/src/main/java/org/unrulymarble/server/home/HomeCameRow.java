package org.unrulymarble.server.home;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.unrulymarble.core.home.HomeTold;
import org.unrulymarble.core.home.ReturnCode;

@Entity
@Table(name = "home_came")
class HomeCameRow {

    private static final String EMPTY = "-";

    /** What became of it. */
    enum State {
        WAITING,
        KEPT,
        ASIDE
    }

    @Id
    private UUID id;

    private UUID cardId;
    private int practice;

    /** With blanks between, a dash for what was not filled in. */
    private String numbers;

    @Enumerated(EnumType.STRING)
    private ReturnCode.Felt felt;

    private LocalDate onDay;
    private Instant cameAt;
    private boolean byPaper;

    @Enumerated(EnumType.STRING)
    private State state;

    protected HomeCameRow() {}

    HomeCameRow(UUID cardId, ReturnCode said, LocalDate onDay, Instant cameAt, boolean byPaper) {
        this.id = UUID.randomUUID();
        this.cardId = cardId;
        this.practice = said.practice();
        this.numbers = written(said.numbers());
        this.felt = said.felt();
        this.onDay = onDay;
        this.cameAt = cameAt;
        this.byPaper = byPaper;
        this.state = State.WAITING;
    }

    static String written(List<Integer> numbers) {
        return numbers.stream().map(n -> n == null ? EMPTY : n.toString()).collect(Collectors.joining(" "));
    }

    void becomes(State other) {
        state = other;
    }

    UUID id() {
        return id;
    }

    UUID cardId() {
        return cardId;
    }

    int practice() {
        return practice;
    }

    /** Whether it tells of the home and not of a practice. */
    boolean ofHome() {
        return practice == HomeTold.PRACTICE;
    }

    List<Integer> numbers() {
        return Arrays.stream(numbers.split(" "))
                .map(n -> n.equals(EMPTY) ? null : Integer.valueOf(n))
                .toList();
    }

    ReturnCode.Felt felt() {
        return felt;
    }

    LocalDate onDay() {
        return onDay;
    }

    Instant cameAt() {
        return cameAt;
    }

    boolean byPaper() {
        return byPaper;
    }

    State state() {
        return state;
    }
}
