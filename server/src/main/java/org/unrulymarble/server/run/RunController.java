package org.unrulymarble.server.run;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.record.Watch;
import org.unrulymarble.server.account.SignedIn;

@RestController
@RequestMapping("/api/runs")
class RunController {

    private final RunService runs;
    private final RunStreams streams;
    private final Walls walls;

    RunController(RunService runs, RunStreams streams, Walls walls) {
        this.runs = runs;
        this.streams = streams;
        this.walls = walls;
    }

    record Begin(UUID lessonId) {
        Begin {
            new Checks().required("lessonId", lessonId).done();
        }
    }

    record Events(UUID runId, List<SentEvent> events) {
        Events {
            new Checks()
                    .required("runId", runId)
                    .entries("events", events, 0, 500)
                    .done();
        }
    }

    record Acknowledged(List<UUID> acknowledged) {}

    /** A run in a list. */
    record RunLine(UUID id, UUID lessonId, String lessonName, String className) {}

    @PostMapping
    RunService.Run begin(@RequestBody Begin begin) {
        return runs.begin(begin.lessonId());
    }

    @GetMapping("/open")
    List<RunLine> open() {
        return runs.open().stream()
                .map(r -> new RunLine(
                        r.id(), r.lessonId(), r.sheet().lessonName(), r.sheet().className()))
                .toList();
    }

    @GetMapping("/{id}")
    RunService.Run one(@PathVariable UUID id) {
        return runs.see(id);
    }

    /** What is known of a run, and then what is added by whatever device. */
    @GetMapping(path = "/{id}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable UUID id) {
        runs.mayHear(id);
        return streams.listen(id, RunStreams.Ear.of(SignedIn.now().accountId()), () -> runs.log(id));
    }

    /** How a round came out against each pupil's own before. */
    @GetMapping("/{id}/against/{round}")
    List<RunRecording.RoundAgainst> against(@PathVariable UUID id, @PathVariable int round) {
        return runs.against(id, round);
    }

    /** Whom to watch in a block, the most telling first. */
    @GetMapping("/{id}/watch/{block}")
    List<Watch> watch(@PathVariable UUID id, @PathVariable int block) {
        return runs.watch(id, block);
    }

    /** @param untilMs when it ends, if the run does not end before */
    record WallCode(String code, long untilMs) {}

    /** The code that opens the wall face of this run without signing in. */
    @PostMapping("/{id}/wall")
    WallCode wall(@PathVariable UUID id) {
        return walls.open(id);
    }

    /** Another code; the one before opens nothing any more. */
    @PutMapping("/{id}/wall")
    WallCode newWall(@PathVariable UUID id) {
        return walls.renew(id);
    }

    /** No code opens the wall until somebody asks for one. */
    @DeleteMapping("/{id}/wall")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void noWall(@PathVariable UUID id) {
        walls.withdraw(id);
    }

    /** Twelve times a second from each run: a path without a variable is found at once, one with it is sought among all others. */
    @PostMapping("/events")
    Acknowledged append(@RequestBody Events sent) {
        return new Acknowledged(runs.append(sent.runId(), sent.events()));
    }
}
