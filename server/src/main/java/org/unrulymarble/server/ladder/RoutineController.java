package org.unrulymarble.server.ladder;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.ladder.Routine;

/** Routines that are kept under their names. */
@RestController
@RequestMapping("/api/routines")
class RoutineController {

    private final KeptRoutines routines;

    RoutineController(KeptRoutines routines) {
        this.routines = routines;
    }

    /** @param version of the kept one that this was made from; null for a new one */
    record RoutineDoc(@Nullable Long version, Routine routine) {
        RoutineDoc {
            new Checks().required("routine", routine).done();
        }
    }

    @GetMapping
    List<KeptRoutines.KeptRoutine> all() {
        return routines.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    KeptRoutines.KeptRoutine keep(@RequestBody RoutineDoc doc) {
        return routines.keep(doc.routine());
    }

    @PutMapping("/{id}")
    KeptRoutines.KeptRoutine change(@PathVariable UUID id, @RequestBody RoutineDoc doc) {
        return routines.change(id, doc.version(), doc.routine());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        routines.remove(id);
    }
}
