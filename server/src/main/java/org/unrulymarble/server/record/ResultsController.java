package org.unrulymarble.server.record;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.FileAnswer;
import org.unrulymarble.server.platform.Progress;
import org.unrulymarble.server.store.ClassAccess;

/** A class's results out as CSV and in again. */
@RestController
@RequestMapping("/api/classes/{id}")
class ResultsController {

    private final ClassAccess access;
    private final ResultsIn in;
    private final ResultsOut out;
    private final Progress progress;
    private final Audit audit;

    ResultsController(ClassAccess access, ResultsIn in, ResultsOut out, Progress progress, Audit audit) {
        this.access = access;
        this.in = in;
        this.out = out;
        this.progress = progress;
        this.audit = audit;
    }

    @GetMapping("/results.csv")
    void write(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        FileAnswer.begin(response, access.teach(id).name() + " results.csv");
        audit.note(SignedIn.now().accountId(), Audit.Kind.CLASS_EXPORTED, id);
        out.write(id, null, response.getWriter());
    }

    /** How far a file is that is being brought in under this key; 204 before it begins and after it ends. */
    @GetMapping("/results/progress/{key}")
    ResponseEntity<Progress.Far> progress(@PathVariable UUID id, @PathVariable UUID key) {
        access.teach(id);
        return progress.of(key)
                .map(ResponseEntity::ok)
                .orElse(ResponseEntity.noContent().build());
    }

    /** Says what a file would bring, and unless that is all, brings it: all of it or nothing. */
    @PostMapping("/results")
    ResultsIn.Brought read(@PathVariable UUID id, @RequestBody ResultsIn.File file) {
        return in.read(id, file);
    }
}
