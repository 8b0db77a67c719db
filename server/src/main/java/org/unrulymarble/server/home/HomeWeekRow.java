package org.unrulymarble.server.home;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.unrulymarble.core.home.HomePlanner;

@Entity
@Table(name = "home_week")
public class HomeWeekRow {

    private static final int DAYS = 7;

    @Id
    private UUID id;

    private UUID classId;
    private LocalDate firstDay;
    private int practices;
    private int minutes;
    private boolean quiet;
    private boolean helper;
    private UUID lessonId;

    /** Those who get a card, in the class's order: a making that was broken off goes on by it. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    private String forPupils;

    private Instant madeAt;

    protected HomeWeekRow() {}

    HomeWeekRow(UUID classId, HomeMaking.WeekWanted wanted, List<UUID> pupils, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.classId = classId;
        this.firstDay = wanted.firstDay();
        this.practices = wanted.practices();
        this.minutes = wanted.minutes();
        this.quiet = wanted.quiet();
        this.helper = wanted.helper();
        this.lessonId = wanted.lessonId();
        this.forPupils = pupils.stream().map(UUID::toString).collect(Collectors.joining(" "));
        this.madeAt = madeAt;
    }

    UUID id() {
        return id;
    }

    UUID classId() {
        return classId;
    }

    LocalDate firstDay() {
        return firstDay;
    }

    /** The day of a practice, from 1: they spread over a week. */
    LocalDate dayOf(int practice) {
        return firstDay.plusDays((long) (practice - 1) * DAYS / practices);
    }

    LocalDate lastDay() {
        return dayOf(practices);
    }

    int practices() {
        return practices;
    }

    int minutes() {
        return minutes;
    }

    boolean quiet() {
        return quiet;
    }

    boolean helper() {
        return helper;
    }

    UUID lessonId() {
        return lessonId;
    }

    List<UUID> pupils() {
        return Arrays.stream(forPupils.split(" ")).map(UUID::fromString).toList();
    }

    HomePlanner.Week asked() {
        return new HomePlanner.Week(practices, minutes);
    }
}
