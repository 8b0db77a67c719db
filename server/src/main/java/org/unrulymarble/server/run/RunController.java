package org.unrulymarble.server.run;

import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.unrulymarble.core.check.Checks;

@RestController
@RequestMapping("/api/runs")
class RunController {

    private final RunService runs;
    private final RunStreams streams;

    RunController(RunService runs, RunStreams streams) {
        this.runs = runs;
        this.streams = streams;
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
        return streams.listen(id, () -> runs.log(id), event -> true);
    }

    /** How a round came out against each pupil's own before. */
    @GetMapping("/{id}/against/{round}")
    List<RunRecording.RoundAgainst> against(@PathVariable UUID id, @PathVariable int round) {
        return runs.against(id, round);
    }

    record WallCode(String code) {}

    /** The code that opens the wall face of this run without signing in, as long as the run goes on. */
    @PostMapping("/{id}/wall")
    WallCode wall(@PathVariable UUID id) {
        return new WallCode(runs.wallCode(id));
    }

    /** Twelve times a second from each run: a path without a variable is found at once, one with it is sought among all others. */
    @PostMapping("/events")
    Acknowledged append(@RequestBody Events sent) {
        return new Acknowledged(runs.append(sent.runId(), sent.events()));
    }
}
