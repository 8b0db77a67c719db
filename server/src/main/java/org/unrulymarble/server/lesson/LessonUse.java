package org.unrulymarble.server.lesson;

import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.server.ladder.LadderUse;
import tools.jackson.databind.json.JsonMapper;

/** Plans that name a ladder's rungs: as a task, as a quiet task, or in the place of one for a pupil. */
@Component
class LessonUse implements LadderUse {

    private final LessonRows rows;
    private final JsonMapper json;

    LessonUse(LessonRows rows, JsonMapper json) {
        this.rows = rows;
        this.json = json;
    }

    @Override
    public Map<String, Long> timesByRung(String ladderId) {
        return rows.plansNaming("%\"" + ladderId + "\"%").stream()
                .flatMap(plan -> LessonJson.read(json, plan).blocks().stream())
                .flatMap(block -> tasks(block).filter(t -> ladderId.equals(t.ladderId())))
                .collect(Collectors.groupingBy(Block.Task::rungId, Collectors.counting()));
    }

    private static Stream<Block.Task> tasks(Block b) {
        Stream<Block.Task> own =
                b.ladderId() == null ? Stream.empty() : Stream.of(new Block.Task(b.ladderId(), b.rungId()));
        Stream<Block.Task> others = Stream.ofNullable(b.meanwhile());
        Stream<Block.Task> instead = b.variants().stream().map(v -> v.instead()).filter(Objects::nonNull);
        return Stream.concat(own, Stream.concat(others, instead));
    }
}
