package org.unrulymarble.server.record;

import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.record.KeptGame;

/** What is changed by hand: results typed in, corrected or confirmed, where a pupil stands, and how a class decides. Only by the class's teacher. */
@RestController
@RequestMapping("/api")
class RecordChangesController {

    private final ByHand byHand;

    RecordChangesController(ByHand byHand) {
        this.byHand = byHand;
    }

    @PostMapping("/pupils/{id}/attempts")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void typeIn(@PathVariable UUID id, @RequestBody ByHand.TypedIn typed) {
        byHand.typeIn(id, typed);
    }

    /** A game from a sheet of Marks. */
    @PostMapping("/classes/{id}/games")
    @ResponseStatus(HttpStatus.CREATED)
    ByHand.GameInRecord keep(@PathVariable UUID id, @RequestBody KeptGame game) {
        return byHand.keep(id, game);
    }

    @PostMapping("/attempts/{id}/corrections")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void correct(@PathVariable UUID id, @RequestBody Correction.Wanted wanted) {
        byHand.correct(id, wanted);
    }

    @PostMapping("/attempts/{id}/confirm")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void confirm(@PathVariable UUID id) {
        byHand.confirm(id);
    }

    @PostMapping("/pupils/{id}/standings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void say(@PathVariable UUID id, @RequestBody ByHand.Said said) {
        byHand.say(id, said);
    }

    @GetMapping("/classes/{id}/readiness")
    AdviceService.ReadinessView readiness(@PathVariable UUID id) {
        return byHand.readiness(id);
    }

    @PutMapping("/classes/{id}/readiness")
    AdviceService.ReadinessView setReadiness(@PathVariable UUID id, @RequestBody AdviceService.ReadinessView wanted) {
        return byHand.setReadiness(id, wanted);
    }
}
