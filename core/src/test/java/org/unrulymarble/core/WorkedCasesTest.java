package org.unrulymarble.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.unrulymarble.core.aim.Landings;
import org.unrulymarble.core.aim.Rings;
import org.unrulymarble.core.chance.Mastery;
import org.unrulymarble.core.chance.Odds;
import org.unrulymarble.core.chance.Streak;
import org.unrulymarble.core.clock.Fit;
import org.unrulymarble.core.flight.Angled;
import org.unrulymarble.core.flight.FlightAir;
import org.unrulymarble.core.flight.Rebound;
import org.unrulymarble.core.flight.Toss;
import org.unrulymarble.core.flight.TossForClaps;
import org.unrulymarble.core.flight.WallMark;
import org.unrulymarble.core.flight.WallMarkAir;
import org.unrulymarble.core.games.Bowling;
import org.unrulymarble.core.games.End;
import org.unrulymarble.core.measure.Staircase;
import org.unrulymarble.core.record.Due;
import org.unrulymarble.core.rotation.Groups;
import org.unrulymarble.core.skill.Skill;

/** Every worked case of every reckoning; clock and spots have their own. */
class WorkedCasesTest {

    private static final Map<String, Reckoning<?, ?>> RECKONINGS = new LinkedHashMap<>();

    static {
        put("fit", Fit.FitAsk.class, Fit::of);
        put("toss", Toss.TossAsk.class, Toss::of);
        put("toss-for-claps", TossForClaps.TossForClapsAsk.class, TossForClaps::of);
        put("wall-mark", WallMark.WallMarkAsk.class, WallMark::of);
        put("rebound", Rebound.ReboundAsk.class, Rebound::of);
        put("angled", Angled.AngledAsk.class, Angled::of);
        put("rings", Rings.RingsAsk.class, Rings::of);
        put("landings", Landings.LandingsAsk.class, Landings::of);
        put("streak", Streak.StreakAsk.class, Streak::of);
        put("odds", Odds.OddsAsk.class, Odds::of);
        put("mastery", Mastery.MasteryAsk.class, Mastery::of);
        put("staircase", Staircase.StaircaseAsk.class, Staircase::of);
        put("ends", End.EndAsk.class, End::of);
        put("flight-air", FlightAir.FlightAirAsk.class, FlightAir::of);
        put("wall-mark-air", WallMarkAir.WallMarkAirAsk.class, WallMarkAir::of);
        put("due", Due.DueAsk.class, Due::of);
        put("skill", Skill.SkillAsk.class, Skill::of);
        put("groups", Groups.GroupsAsk.class, Groups::of);
        put("bowling", Bowling.BowlingAsk.class, Bowling::of);
    }

    private record Reckoning<A, B>(Class<A> ask, Function<A, B> answer) {
        void agree(Cases.Case worked) {
            worked.agreesWith(answer.apply(Cases.JSON.convertValue(worked.in(), ask)));
        }
    }

    private static <A, B> void put(String name, Class<A> ask, Function<A, B> answer) {
        RECKONINGS.put(name, new Reckoning<>(ask, answer));
    }

    @TestFactory
    Stream<DynamicTest> agrees_with_every_worked_case() {
        return RECKONINGS.entrySet().stream()
                .flatMap(e -> Cases.of(e.getKey()).stream()
                        .map(c -> DynamicTest.dynamicTest(e.getKey() + " " + c.number(), () -> {
                            assertThat(c.out().isEmpty()).isFalse();
                            e.getValue().agree(c);
                        })));
    }
}
