package org.unrulymarble.server.disk;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.server.account.SignedIn;

/** The backups on screen, for administrators alone. A restore is done where the server is started, while nobody works. */
@RestController
@RequestMapping("/api/backups")
class BackupController {

    private final BackupService service;
    private final Backups backups;
    private final NightWatch night;

    BackupController(BackupService service, Backups backups, NightWatch night) {
        this.service = service;
        this.backups = backups;
        this.night = night;
    }

    /** @param untilMs when it is taken away at the latest */
    record BackupLine(String name, long madeMs, long bytes, long untilMs) {}

    /** @param damaged what the nightly look found wrong with the data file, or null */
    record BackupList(
            String folder,
            List<BackupLine> backups,
            @Nullable String damaged) {}

    /** What one holds, as it was read back. */
    record BackupMade(String name, long pupils, long results, long lessons, long accounts) {}

    @GetMapping
    BackupList all() {
        SignedIn.onlyAdministrators();
        return new BackupList(
                backups.folder().toString(),
                backups.kept().stream()
                        .map(k -> new BackupLine(
                                k.name(),
                                k.made().toEpochMilli(),
                                k.bytes(),
                                k.until()
                                        .atStartOfDay(java.time.ZoneId.systemDefault())
                                        .toInstant()
                                        .toEpochMilli()))
                        .toList(),
                night.wrong());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    BackupMade make() {
        SignedIn.onlyAdministrators();
        try {
            Backups.Made made = service.make(SignedIn.now().accountId());
            return new BackupMade(
                    made.file().getFileName().toString(),
                    made.manifest().rows("pupil"),
                    made.manifest().rows("attempt"),
                    made.manifest().rows("lesson"),
                    made.manifest().rows("account"));
        } catch (BackupFile.Bad e) {
            throw new Refused("backup", Fault.Rule.KIND, "possible: " + e.getMessage());
        }
    }
}
