package org.unrulymarble.server.run;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.run.RunEvent;
import org.unrulymarble.core.run.RunScript;
import org.unrulymarble.core.run.What;
import org.unrulymarble.server.platform.ClientAddress;
import org.unrulymarble.server.platform.TryLimit;
import org.unrulymarble.server.store.Roster;

/** The wall face: for whoever has the run's code. Clock, cue and first names; no surname, no id, nothing of any other run, and scores only where the teacher wants them there. */
@RestController
@RequestMapping("/api/wall/{code}")
class WallController {

    private final RunService runs;
    private final RunStreams streams;
    private final Walls walls;
    private final WallAliases aliases;
    private final TryLimit limit;
    private final ClientAddress address;

    WallController(
            RunService runs,
            RunStreams streams,
            Walls walls,
            WallAliases aliases,
            TryLimit limit,
            ClientAddress address) {
        this.runs = runs;
        this.streams = streams;
        this.walls = walls;
        this.aliases = aliases;
        this.limit = limit;
        this.address = address;
    }

    /** @param names by what stands for a pupil: first names, with the initial only where two are called alike */
    record WallFace(
            String lessonName,
            String spaceName,
            int minutes,
            Map<String, String> names,
            List<Ladder> ladders,
            RunScript script,
            List<RunEvent> log,
            long nowMs) {}

    @GetMapping
    WallFace wall(@PathVariable String code, HttpServletRequest request) {
        RunService.Run run = runs.onTheWall(row(code, request));
        return new WallFace(
                run.sheet().lessonName(),
                run.sheet().spaceName(),
                run.sheet().minutes(),
                firstNames(run.sheet().pupils()),
                run.sheet().ladders(),
                run.state().scoresOnWall()
                        ? run.sheet().script()
                        : run.sheet().script().withoutOwnRungs(),
                run.log().stream()
                        .filter(e -> forTheWall(e, run.state().scoresOnWall()))
                        .toList(),
                run.nowMs());
    }

    @GetMapping(path = "/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable String code, HttpServletRequest request) {
        RunRow row = row(code, request);
        UUID id = row.id();
        RunStreams.Ear ear =
                new RunStreams.Ear(null, row.wallUntil(), e -> forTheWall(e, runs.scoresOnWall(id)), aliases::hidden);
        return streams.listen(id, ear, () -> runs.log(id));
    }

    /** Guessing codes is slowed down; a code that is right costs nothing, and makes up for no wrong one. */
    private RunRow row(String code, HttpServletRequest request) {
        String from = address.of(request) + " wall";
        limit.count(from);
        RunRow row = walls.of(code);
        limit.giveBack(from);
        return row;
    }

    /** What moves the clock or takes such a move back; what anybody scored only where the teacher wants it there. Never what was said of a child. */
    private static boolean forTheWall(RunEvent e, boolean scores) {
        What what = e.what();
        boolean runs = what instanceof What.MovesClock
                || what instanceof What.Extend
                || what instanceof What.TakeBack
                || what instanceof What.Finish
                || what instanceof What.ScoresOnWall;
        boolean scored = what instanceof What.OfRound || what instanceof What.OnRung;
        // Where single balls of a match lie is for the hand.
        boolean ball = what instanceof What.Tapped tapped && tapped.tap() instanceof Tap.Ball;
        return runs || (scores && scored && !ball);
    }

    private static Map<String, String> firstNames(List<Roster.Member> pupils) {
        Map<String, Long> called =
                pupils.stream().collect(Collectors.groupingBy(p -> firstName(p.name()), Collectors.counting()));
        Map<String, String> names = new HashMap<>();
        for (Roster.Member p : pupils)
            names.put(p.pupilId().toString(), called.get(firstName(p.name())) > 1 ? p.name() : firstName(p.name()));
        return names;
    }

    private static String firstName(String name) {
        int end = name.lastIndexOf(' ');
        return end < 0 ? name : name.substring(0, end);
    }
}
