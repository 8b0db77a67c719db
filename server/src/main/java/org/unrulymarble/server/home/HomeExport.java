package org.unrulymarble.server.home;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.home.ReturnCode;
import org.unrulymarble.server.platform.Erased;
import org.unrulymarble.server.platform.Exported;
import tools.jackson.databind.json.JsonMapper;

/** Cards and what came back for an export, without the keys of the cards; all of it goes with the pupil. */
@Component
@Transactional(readOnly = true)
class HomeExport implements Exported, Erased {

    private final HomeWeeks weeks;
    private final HomeCards cards;
    private final HomeCames cames;
    private final JsonMapper json;

    HomeExport(HomeWeeks weeks, HomeCards cards, HomeCames cames, JsonMapper json) {
        this.weeks = weeks;
        this.cards = cards;
        this.cames = cames;
        this.json = json;
    }

    private record HomeCardOut(
            UUID pupilId,
            int card,
            LocalDate firstDay,
            boolean withdrawn,
            List<HomePractice> practices,
            List<HomeCameOut> came) {}

    private record HomeCameOut(
            int practice, LocalDate on, List<Integer> numbers, ReturnCode.Felt felt, boolean paper, String state) {}

    @Override
    public String name() {
        return "homeCards";
    }

    @Override
    public void ofClass(UUID classId, Consumer<Object> row) {
        for (HomeWeekRow week : weeks.findByClassIdOrderByFirstDayDescMadeAtDesc(classId))
            tell(cards.findByWeekIdInOrderByCardNumber(List.of(week.id())), row);
    }

    @Override
    public void ofPupil(UUID pupilId, Consumer<Object> row) {
        tell(cards.findByPupilIdOrderByCardNumber(pupilId), row);
    }

    private void tell(List<HomeCardRow> of, Consumer<Object> row) {
        Map<UUID, HomeWeekRow> known = new HashMap<>();
        for (HomeCardRow card : of) {
            HomeWeekRow week = known.computeIfAbsent(
                    card.weekId(), id -> weeks.findById(id).orElseThrow());
            row.accept(new HomeCardOut(
                    card.pupilId(),
                    card.number(),
                    week.firstDay(),
                    card.withdrawn(),
                    card.read(json).practices(),
                    cames.findByCardIdInOrderByCameAt(List.of(card.id())).stream()
                            .map(c -> new HomeCameOut(
                                    c.practice(),
                                    c.onDay(),
                                    c.numbers(),
                                    c.felt(),
                                    c.byPaper(),
                                    c.state().name()))
                            .toList()));
        }
    }

    @Override
    public Map<String, Long> kept(Set<UUID> classIds, UUID pupilId, String name) {
        return Map.of("homeCards", cards.countByPupilId(pupilId));
    }

    @Override
    public void erase(Set<UUID> classIds, UUID pupilId, String name) {
        // Cards hang on the pupil's row, and what came back on the card: they go with it, and its codes fit no card.
    }
}
