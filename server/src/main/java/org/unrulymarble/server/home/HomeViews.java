package org.unrulymarble.server.home;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.home.HomeTold;
import org.unrulymarble.core.home.ReturnCode;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.server.platform.Progress;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.SchoolClass;
import tools.jackson.databind.json.JsonMapper;

/** What a class's teacher sees of its home practice. */
@Service
@Transactional
public class HomeViews {

    /** Days after the last practice from which on what comes back is told to be late. */
    private static final int LATE_DAYS = 14;

    private final HomeWeeks weeks;
    private final HomeCards cards;
    private final HomeCames cames;
    private final ClassAccess access;
    private final HomeUnreads unreads;
    private final Progress progress;
    private final KitKinds kinds;
    private final Clock clock;
    private final JsonMapper json;

    HomeViews(
            HomeWeeks weeks,
            HomeCards cards,
            HomeCames cames,
            ClassAccess access,
            HomeUnreads unreads,
            Progress progress,
            KitKinds kinds,
            Clock clock,
            JsonMapper json) {
        this.weeks = weeks;
        this.cards = cards;
        this.cames = cames;
        this.access = access;
        this.unreads = unreads;
        this.progress = progress;
        this.kinds = kinds;
        this.clock = clock;
        this.json = json;
    }

    /**
     * All of a class's home practice.
     *
     * @param came what came back and is not decided on, oldest first
     * @param unread codes that could not be read, oldest first
     * @param asked what is asked of a home, on paper and page
     */
    public record HomeView(
            List<HomeWeek> weeks,
            List<CameBack> came,
            List<UnreadLine> unread,
            List<HomeShare> practised,
            HomeTold.Asked asked) {}

    /** @param line as it was sent; {@code on} the day on which it was taken in */
    public record UnreadLine(UUID id, String line, CameService.Wrong wrong, LocalDate on) {}

    /** @param making how many cards are made of how many, while they are being made; null when that is over or was broken off */
    public record HomeWeek(
            UUID id,
            LocalDate firstDay,
            int practices,
            int minutes,
            boolean quiet,
            boolean helper,
            boolean fromLesson,
            int wanted,
            Progress.@Nullable Far making,
            List<HomeCardLine> cards) {}

    /**
     * @param practices that are on it; fewer than asked where little fits that home
     * @param kept of those the ones from which something came back and was kept
     */
    public record HomeCardLine(
            UUID id,
            UUID pupilId,
            String pupil,
            int home,
            int practices,
            List<HomePracticeLine> each,
            List<HomeTaskName> tasks,
            List<Integer> kept,
            boolean withdrawn) {}

    /** A task of a card, once. @param practices on which of them, from 1 */
    public record HomeTaskName(String ladderId, String name, List<Integer> practices) {}

    /** @param number that its paper has printed on it */
    public record HomePracticeLine(LocalDate on, String number, List<HomeNumber> boxes) {}

    /** A box: what it counts, and the most that it can be. @param said what was filled in, or null */
    public record HomeNumber(
            String task,
            int round,
            Side side,
            @Nullable Integer tries,
            int most,
            @Nullable Integer said) {}

    /**
     * @param late that its week was over for long
     * @param home what was told of the home, or null: then it is a practice
     */
    public record CameBack(
            UUID id,
            UUID pupilId,
            String pupil,
            int practice,
            LocalDate on,
            ReturnCode.@Nullable Felt felt,
            boolean paper,
            boolean late,
            List<HomeNumber> numbers,
            @Nullable HomeTold home) {}

    /** What a pupil did at home in the last four weeks. @param minutes about so many a week */
    public record HomeShare(
            UUID pupilId,
            String pupil,
            int practices,
            double minutes,
            @Nullable LocalDate last) {}

    /** How many results wait for the teacher's word. */
    public record HomeWaiting(long waiting) {}

    @Transactional(readOnly = true)
    public HomeWaiting waiting(UUID classId) {
        access.teach(classId);
        return new HomeWaiting(cames.countOfClass(classId, HomeCameRow.State.WAITING));
    }

    @Transactional(readOnly = true)
    public HomeView of(UUID classId) {
        SchoolClass c = access.teach(classId);
        List<HomeWeekRow> all = weeks.findByClassIdOrderByFirstDayDescMadeAtDesc(classId);
        // How far it is comes first: a card that is kept meanwhile must not look like one that will never come.
        Map<UUID, Progress.Far> making = new HashMap<>();
        all.forEach(w -> progress.of(w.id()).ifPresent(far -> making.put(w.id(), far)));
        Map<UUID, Pupil> pupils = c.everybody().stream().collect(Collectors.toMap(Pupil::id, Function.identity()));
        // Cards of whoever changed class are withdrawn, and nobody's of this class any more.
        List<HomeCardRow> cardRows =
                cards
                        .findByWeekIdInOrderByCardNumber(
                                all.stream().map(HomeWeekRow::id).toList())
                        .stream()
                        .filter(card -> pupils.containsKey(card.pupilId()))
                        .toList();
        List<HomeCameRow> cameRows = cames.findByCardIdInOrderByCameAt(
                cardRows.stream().map(HomeCardRow::id).toList());
        Map<UUID, HomeWeekRow> weekById = all.stream().collect(Collectors.toMap(HomeWeekRow::id, w -> w));
        Map<UUID, HomeCardRow> cardById = cardRows.stream().collect(Collectors.toMap(HomeCardRow::id, w -> w));
        Map<UUID, CardBody> bodies =
                cardRows.stream().collect(Collectors.toMap(HomeCardRow::id, card -> card.read(json)));
        List<HomeWeek> told = all.stream()
                .map(w -> week(
                        w,
                        cardRows.stream().filter(r -> r.weekId().equals(w.id())).toList(),
                        cameRows,
                        pupils,
                        bodies,
                        making.get(w.id())))
                .toList();
        List<CameBack> waiting = cameRows.stream()
                .filter(r -> r.state() == HomeCameRow.State.WAITING)
                .map(r -> told(r, cardById.get(r.cardId()), weekById, pupils, bodies))
                .toList();
        List<UnreadLine> unread = unreads.findByClassIdOrderByCameAt(classId).stream()
                .map(r -> new UnreadLine(r.id(), r.line(), r.wrong(), LocalDate.ofInstant(r.cameAt(), clock.getZone())))
                .toList();
        return new HomeView(told, waiting, unread, shares(c, cameRows, cardById, weekById), HomeTold.asked(kinds));
    }

    private HomeWeek week(
            HomeWeekRow w,
            List<HomeCardRow> of,
            List<HomeCameRow> came,
            Map<UUID, Pupil> pupils,
            Map<UUID, CardBody> bodies,
            Progress.Far making) {
        List<HomeCardLine> lines = of.stream()
                .map(card -> new HomeCardLine(
                        card.id(),
                        card.pupilId(),
                        pupils.get(card.pupilId()).name(),
                        card.home(),
                        bodies.get(card.id()).practices().size(),
                        practices(w, card, bodies.get(card.id())),
                        tasks(bodies.get(card.id())),
                        came.stream()
                                .filter(r -> r.cardId().equals(card.id())
                                        && r.state() == HomeCameRow.State.KEPT
                                        && !r.ofHome())
                                .map(HomeCameRow::practice)
                                .distinct()
                                .sorted()
                                .toList(),
                        card.withdrawn()))
                .toList();
        int wanted = w.pupils().stream()
                .filter(pupils::containsKey)
                .mapToInt(id -> pupils.get(id).details().otherHome() == null ? 1 : 2)
                .sum();
        return new HomeWeek(
                w.id(),
                w.firstDay(),
                w.practices(),
                w.minutes(),
                w.quiet(),
                w.helper(),
                w.lessonId() != null,
                wanted,
                making,
                lines);
    }

    private static List<HomeTaskName> tasks(CardBody body) {
        Map<String, HomeTaskName> tasks = new LinkedHashMap<>();
        for (int k = 1; k <= body.practices().size(); k++)
            for (HomePractice.HomeTask task : body.practice(k).tasks()) {
                List<Integer> on = tasks.computeIfAbsent(
                                task.ladderId(), id -> new HomeTaskName(id, task.name(), new ArrayList<>()))
                        .practices();
                if (!on.contains(k)) on.add(k);
            }
        return List.copyOf(tasks.values());
    }

    private static List<HomePracticeLine> practices(HomeWeekRow w, HomeCardRow card, CardBody body) {
        List<HomePracticeLine> lines = new ArrayList<>();
        for (int k = 1; k <= body.practices().size(); k++)
            lines.add(new HomePracticeLine(
                    w.dayOf(k), ReturnCode.paper(card.number(), k, card.key()), numbers(body.practice(k), null)));
        return lines;
    }

    private static List<HomeNumber> numbers(HomePractice practice, List<Integer> said) {
        List<HomeNumber> numbers = new ArrayList<>();
        for (int i = 0; i < practice.boxes().size(); i++) {
            HomePractice.HomeBox box = practice.boxes().get(i);
            HomePractice.HomeTask task = practice.tasks().get(box.task());
            numbers.add(new HomeNumber(
                    task.name(), box.round(), box.side(), task.tries(), box.most(), said == null ? null : said.get(i)));
        }
        return numbers;
    }

    private CameBack told(
            HomeCameRow r,
            HomeCardRow card,
            Map<UUID, HomeWeekRow> weekById,
            Map<UUID, Pupil> pupils,
            Map<UUID, CardBody> bodies) {
        HomeWeekRow week = weekById.get(card.weekId());
        return new CameBack(
                r.id(),
                card.pupilId(),
                pupils.get(card.pupilId()).name(),
                r.practice(),
                r.onDay(),
                r.felt(),
                r.byPaper(),
                LocalDate.ofInstant(r.cameAt(), clock.getZone())
                        .isAfter(week.lastDay().plusDays(LATE_DAYS)),
                r.ofHome() ? List.of() : numbers(bodies.get(card.id()).practice(r.practice()), r.numbers()),
                r.ofHome() ? HomeTold.of(r.numbers()) : null);
    }

    private List<HomeShare> shares(
            SchoolClass c, List<HomeCameRow> came, Map<UUID, HomeCardRow> cardById, Map<UUID, HomeWeekRow> weekById) {
        LocalDate from = LocalDate.now(clock).minusDays(28);
        return c.pupils().stream()
                .map(p -> {
                    List<HomeCameRow> own = came.stream()
                            .filter(r -> r.state() == HomeCameRow.State.KEPT
                                    && !r.ofHome()
                                    && cardById.get(r.cardId()).pupilId().equals(p.id()))
                            .toList();
                    List<HomeCameRow> lately =
                            own.stream().filter(r -> !r.onDay().isBefore(from)).toList();
                    double minutes = lately.stream()
                                    .mapToInt(r -> weekById.get(
                                                    cardById.get(r.cardId()).weekId())
                                            .minutes())
                                    .sum()
                            / 4.0;
                    return new HomeShare(
                            p.id(),
                            p.name(),
                            lately.size(),
                            minutes,
                            own.stream()
                                    .map(HomeCameRow::onDay)
                                    .max(Comparator.naturalOrder())
                                    .orElse(null));
                })
                .toList();
    }
}
