package org.unrulymarble.server.run;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.score.RunEvent;

@RestController
@RequestMapping("/api/runs")
class RunController {

    private final RunService runs;

    RunController(RunService runs) {
        this.runs = runs;
    }

    record Begin(UUID lessonId) {
        Begin {
            new Checks().required("lessonId", lessonId).done();
        }
    }

    record Events(List<RunEvent> events) {
        Events {
            new Checks().entries("events", events, 0, 500).done();
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

    @PostMapping("/{id}/events")
    Acknowledged append(@PathVariable UUID id, @RequestBody Events sent) {
        return new Acknowledged(runs.append(id, sent.events()));
    }
}
