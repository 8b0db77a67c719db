package org.unrulymarble.server.run;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.lesson.LessonAccess;
import org.unrulymarble.server.platform.NotFound;

/** The codes of wall faces: one a run, until the run ends, three hours are over, or it is taken back. */
@Service
@Transactional
class Walls {

    static final Duration OPEN_FOR = Duration.ofHours(3);

    /** Letters and digits that nobody takes for others. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int CODE_LENGTH = 6;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final RunRows runs;
    private final RunStreams streams;
    private final LessonAccess access;
    private final Audit audit;
    private final Clock clock;

    Walls(RunRows runs, RunStreams streams, LessonAccess access, Audit audit, Clock clock) {
        this.runs = runs;
        this.streams = streams;
        this.access = access;
        this.audit = audit;
        this.clock = clock;
    }

    /** The code as it is, or a new one where none opens the wall. */
    RunController.WallCode open(UUID runId) {
        RunRow row = mine(runId);
        return isOpen(row) ? told(row) : fresh(row);
    }

    RunController.WallCode renew(UUID runId) {
        streams.closeWalls(runId);
        return fresh(mine(runId));
    }

    void withdraw(UUID runId) {
        RunRow row = mine(runId);
        if (row.wallCode() == null) return;
        row.wall(null, null);
        audit.note(SignedIn.now().accountId(), Audit.Kind.WALL_CLOSED, runId);
        runs.saveAndFlush(row);
        streams.closeWalls(runId);
    }

    /** @throws NotFound for a code that opens no wall, or none any more */
    @Transactional(readOnly = true)
    RunRow of(String code) {
        return runs.findByWallCodeAndFinishedFalse(code.toUpperCase(Locale.ROOT))
                .filter(this::isOpen)
                .orElseThrow(NotFound::new);
    }

    private RunRow mine(UUID runId) {
        RunRow row = runs.findById(runId).orElseThrow(NotFound::new);
        access.see(row.lessonId(), row.classId());
        return row;
    }

    private boolean isOpen(RunRow row) {
        return row.wallCode() != null && row.wallUntil() != null && clock.millis() < row.wallUntil();
    }

    private RunController.WallCode fresh(RunRow row) {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) code.append(CODE_LETTERS.charAt(RANDOM.nextInt(CODE_LETTERS.length())));
        row.wall(code.toString(), clock.millis() + OPEN_FOR.toMillis());
        audit.note(SignedIn.now().accountId(), Audit.Kind.WALL_OPENED, row.id());
        return told(runs.saveAndFlush(row));
    }

    private static RunController.WallCode told(RunRow row) {
        return new RunController.WallCode(row.wallCode(), row.wallUntil());
    }
}
