package org.unrulymarble.server.home;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.home.HomeTold;
import org.unrulymarble.core.home.ReturnCode;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Progress;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.PupilService;
import org.unrulymarble.server.store.SchoolClass;
import tools.jackson.databind.json.JsonMapper;

/** Cards of a class and what came back from them; only for its teacher. */
@Service
@Transactional
public class HomeService {

    /** Days after the last practice from which on what comes back is told to be late. */
    private static final int LATE_DAYS = 14;

    private static final int MOST_LINES = 500;

    private final HomeWeeks weeks;
    private final HomeCards cards;
    private final HomeCames cames;
    private final RecordService records;
    private final PupilService homes;
    private final ClassAccess access;
    private final Progress progress;
    private final Clock clock;
    private final JsonMapper json;

    HomeService(
            HomeWeeks weeks,
            HomeCards cards,
            HomeCames cames,
            RecordService records,
            PupilService homes,
            ClassAccess access,
            Progress progress,
            Clock clock,
            JsonMapper json) {
        this.weeks = weeks;
        this.cards = cards;
        this.cames = cames;
        this.records = records;
        this.homes = homes;
        this.access = access;
        this.progress = progress;
        this.clock = clock;
        this.json = json;
    }

    /**
     * A week to make.
     *
     * @param firstDay of the first practice
     * @param quiet whether somebody may live below: nothing bounces then
     * @param helper whether somebody at home can feed or hold
     * @param lessonId a lesson of the class that every practice follows, each pupil on their own step; null for what each pupil needs
     * @param pupilIds those who get a card; null for all
     */
    public record WeekWanted(
            LocalDate firstDay,
            Integer practices,
            Integer minutes,
            Boolean quiet,
            Boolean helper,
            UUID lessonId,
            List<UUID> pupilIds) {
        public WeekWanted {
            quiet = quiet == null || quiet;
            helper = helper != null && helper;
            new Checks()
                    .required("firstDay", firstDay)
                    .range("practices", practices, 1, 7)
                    .range("minutes", minutes, 5, 30)
                    .done();
        }
    }

    /**
     * All of a class's home practice.
     *
     * @param came what came back and is not decided on, oldest first
     */
    public record HomeView(List<HomeWeek> weeks, List<CameBack> came, List<HomeShare> practised) {}

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
            Progress.Far making,
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
            List<Integer> kept,
            boolean withdrawn) {}

    /** @param number that its paper has printed on it */
    public record HomePracticeLine(LocalDate on, String number, List<HomeNumber> boxes) {}

    /** A box: what it counts, and the most that it can be. @param said what was filled in, or null */
    public record HomeNumber(String task, int round, Side side, Integer tries, int most, Integer said) {}

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
            ReturnCode.Felt felt,
            boolean paper,
            boolean late,
            List<HomeNumber> numbers,
            HomeTold home) {}

    /** What a pupil did at home in the last four weeks. @param minutes about so many a week */
    public record HomeShare(UUID pupilId, String pupil, int practices, double minutes, LocalDate last) {}

    /** Why a line is none, or that it came before. */
    public enum Wrong {
        CHARACTER,
        LENGTH,
        CHECK,
        NOT_THIS_CARD,
        NO_SUCH_CARD,
        OTHER_CLASS,
        WITHDRAWN,
        CAME_BEFORE,
        PAPER_NUMBER
    }

    /** A line that was not taken. @param pupil whose card it names, where that is known */
    public record NotTaken(String line, Wrong wrong, String pupil) {}

    public record Heard(List<CameBack> taken, List<NotTaken> wrong) {}

    /** A paper slip. */
    public record Slip(UUID cardId, Integer practice, List<Integer> numbers, ReturnCode.Felt felt) {
        public Slip {
            new Checks()
                    .required("cardId", cardId)
                    .range("practice", practice, 1, ReturnCode.MOST_PRACTICES)
                    .that(numbers != null, "numbers", Fault.Rule.REQUIRED)
                    .done();
        }
    }

    /** How many results wait for the teacher's word. */
    record HomeWaiting(long waiting) {}

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
        Map<UUID, Pupil> pupils = c.pupils().stream().collect(Collectors.toMap(Pupil::id, Function.identity()));
        List<HomeCardRow> cardRows = cards.findByWeekIdInOrderByCardNumber(
                all.stream().map(HomeWeekRow::id).toList());
        List<HomeCameRow> cameRows = cames.findByCardIdInOrderByCameAt(
                cardRows.stream().map(HomeCardRow::id).toList());
        Map<UUID, HomeWeekRow> weekById = all.stream().collect(Collectors.toMap(HomeWeekRow::id, w -> w));
        Map<UUID, HomeCardRow> cardById = cardRows.stream().collect(Collectors.toMap(HomeCardRow::id, w -> w));
        Map<UUID, CardBody> bodies = cardRows.stream().collect(Collectors.toMap(HomeCardRow::id, this::body));
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
        return new HomeView(told, waiting, shares(c, cameRows, cardById, weekById));
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

    /**
     * Takes codes in: one on each line, or several with commas between.
     *
     * @param text as it was pasted
     */
    public Heard hear(UUID classId, String text) {
        SchoolClass c = access.teach(classId);
        new Checks().text("text", text, 40_000).done();
        List<String> lines = text.lines()
                .flatMap(l -> java.util.Arrays.stream(l.split("[,;]")))
                .map(String::strip)
                .filter(l -> !l.isEmpty())
                .toList();
        new Checks().entries("text", lines, 1, MOST_LINES).done();
        List<HomeCameRow> taken = new ArrayList<>();
        List<NotTaken> wrong = new ArrayList<>();
        for (String line : lines) hear(c, line, taken, wrong);
        List<UUID> ids = taken.stream().map(HomeCameRow::id).toList();
        cames.flush();
        return new Heard(
                of(classId).came().stream().filter(r -> ids.contains(r.id())).toList(), wrong);
    }

    private void hear(SchoolClass c, String line, List<HomeCameRow> taken, List<NotTaken> wrong) {
        ReturnCode.Heard heard = ReturnCode.head(line);
        if (heard.wrong() != null) {
            wrong.add(new NotTaken(line, Wrong.valueOf(heard.wrong().name()), null));
            return;
        }
        Optional<HomeCardRow> found = cards.findByCardNumber(heard.head().card());
        Optional<HomeWeekRow> week = found.flatMap(card -> weeks.findById(card.weekId()));
        if (week.isEmpty() || !taughtByAsker(week.get().classId())) {
            wrong.add(new NotTaken(line, Wrong.NO_SUCH_CARD, null));
            return;
        }
        HomeCardRow card = found.get();
        if (!week.get().classId().equals(c.id())) {
            wrong.add(new NotTaken(line, Wrong.OTHER_CLASS, null));
            return;
        }
        String pupil = c.pupils().stream()
                .filter(p -> p.id().equals(card.pupilId()))
                .map(Pupil::name)
                .findFirst()
                .orElse(null);
        CardBody body = body(card);
        boolean ofHome = heard.head().practice() == HomeTold.PRACTICE;
        boolean on = ofHome || heard.head().practice() <= body.practices().size();
        if (on && !ofHome && ReturnCode.paperOf(heard.head(), card.key())) {
            wrong.add(new NotTaken(line, Wrong.PAPER_NUMBER, pupil));
            return;
        }
        Optional<ReturnCode> said = on
                ? ReturnCode.of(
                        heard.head(),
                        card.key(),
                        ofHome
                                ? HomeTold.MOST
                                : body.practice(heard.head().practice()).most())
                : Optional.empty();
        if (said.isEmpty()) wrong.add(new NotTaken(line, Wrong.NOT_THIS_CARD, null));
        else if (card.withdrawn()) wrong.add(new NotTaken(line, Wrong.WITHDRAWN, pupil));
        else if (cameBefore(card, said.get())) wrong.add(new NotTaken(line, Wrong.CAME_BEFORE, pupil));
        else taken.add(keep(card, week.get(), said.get(), false));
    }

    private boolean taughtByAsker(UUID classId) {
        return access.known().stream().anyMatch(k -> k.classId().equals(classId));
    }

    private boolean cameBefore(HomeCardRow card, ReturnCode said) {
        return cames.existsByCardIdAndPracticeAndNumbers(
                card.id(), said.practice(), HomeCameRow.written(said.numbers()));
    }

    private HomeCameRow keep(HomeCardRow card, HomeWeekRow week, ReturnCode said, boolean paper) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, clock.getZone());
        LocalDate planned = said.practice() == HomeTold.PRACTICE ? today : week.dayOf(said.practice());
        return cames.saveAndFlush(
                new HomeCameRow(card.id(), said, planned.isAfter(today) ? today : planned, now, paper));
    }

    /** Numbers from paper slips; a slip that came before is left out. */
    public Heard slips(UUID classId, List<Slip> slips) {
        access.teach(classId);
        new Checks().entries("slips", slips, 1, MOST_LINES).done();
        List<UUID> taken = new ArrayList<>();
        List<NotTaken> wrong = new ArrayList<>();
        for (int i = 0; i < slips.size(); i++) {
            Slip slip = slips.get(i);
            HomeCardRow card = card(slip.cardId());
            HomeWeekRow week = weeks.findById(card.weekId()).orElseThrow(NotFound::new);
            if (!week.classId().equals(classId)) throw new NotFound();
            CardBody body = body(card);
            try {
                new Checks()
                        .range("practice", slip.practice(), 1, body.practices().size())
                        .done();
                ReturnCode said = new ReturnCode(card.number(), slip.practice(), slip.numbers(), slip.felt());
                // Checked as a code is: by count and by range.
                said.code(card.key(), body.practice(slip.practice()).most());
                if (cameBefore(card, said)) wrong.add(new NotTaken(null, Wrong.CAME_BEFORE, null));
                else taken.add(keep(card, week, said, true).id());
            } catch (Refused e) {
                new Checks().under("slips[" + i + "]", e).done();
            }
        }
        return new Heard(
                of(classId).came().stream().filter(r -> taken.contains(r.id())).toList(), wrong);
    }

    /** @param ids of what came back, 1 to 500; what was decided on already stays as it is */
    public record Decided(List<UUID> ids) {
        public Decided {
            new Checks().entries("ids", ids, 1, MOST_LINES).done();
        }
    }

    /** Into the record: from home, not confirmed. */
    public HomeView keep(UUID classId, Decided decided) {
        return decide(classId, decided, HomeCameRow.State.KEPT);
    }

    HomeView putAside(UUID classId, Decided decided) {
        return decide(classId, decided, HomeCameRow.State.ASIDE);
    }

    private HomeView decide(UUID classId, Decided decided, HomeCameRow.State becomes) {
        access.teach(classId);
        for (UUID id : decided.ids()) {
            HomeCameRow row = cames.findById(id).orElseThrow(NotFound::new);
            HomeCardRow card = cards.findById(row.cardId()).orElseThrow(NotFound::new);
            HomeWeekRow week = weeks.findById(card.weekId()).orElseThrow(NotFound::new);
            if (!week.classId().equals(classId)) throw new NotFound();
            if (row.state() != HomeCameRow.State.WAITING) continue;
            row.becomes(becomes);
            if (becomes == HomeCameRow.State.KEPT && row.ofHome()) {
                HomeTold told = HomeTold.of(row.numbers());
                homes.homeIs(card.pupilId(), card.home(), told.kit(), told.space(), told.quiet());
            } else if (becomes == HomeCameRow.State.KEPT)
                records.add(
                        classId,
                        body(card)
                                .practice(row.practice())
                                .attempts(
                                        card.pupilId().toString(),
                                        row.onDay(),
                                        row.numbers(),
                                        () -> UUID.randomUUID().toString()));
        }
        cames.flush();
        return of(classId);
    }

    /** Its codes are not taken any more. */
    void withdraw(UUID cardId) {
        card(cardId).withdraw(clock.instant());
    }

    /** @throws NotFound for a card of a class that the asker does not teach */
    private HomeCardRow card(UUID cardId) {
        HomeCardRow card =
                cards.findById(cardId == null ? new UUID(0, 0) : cardId).orElseThrow(NotFound::new);
        access.teach(weeks.findById(card.weekId()).orElseThrow(NotFound::new).classId());
        return card;
    }

    private CardBody body(HomeCardRow card) {
        return json.readValue(card.body(), CardBody.class);
    }

    /** All that paper, page and calendar of a card are made from. */
    public record CardOut(HomeCardRow card, HomeWeekRow week, CardBody body, Pupil pupil, String className) {
        String firstName() {
            return pupil.details().firstName();
        }

        public UUID pupilId() {
            return card.pupilId();
        }

        public UUID cardId() {
            return card.id();
        }

        public List<HomePractice> practices() {
            return body.practices();
        }

        /** The code that the card's page would show. */
        public String code(int practice, List<Integer> numbers, ReturnCode.Felt felt) {
            return new ReturnCode(card.number(), practice, numbers, felt)
                    .code(card.key(), body.practice(practice).most());
        }
    }

    @Transactional(readOnly = true)
    public CardOut out(UUID cardId) {
        HomeCardRow card = card(cardId);
        HomeWeekRow week = weeks.findById(card.weekId()).orElseThrow(NotFound::new);
        return out(card, week, access.teach(week.classId()));
    }

    /** For whoever has a card's address, signed in or not. */
    CardOut behindLink(HomeCardRow card) {
        HomeWeekRow week = weeks.findById(card.weekId()).orElseThrow(NotFound::new);
        Pupil pupil = cards.pupil(card.pupilId());
        return new CardOut(card, week, body(card), pupil, "");
    }

    /** Those of a week that were not withdrawn, in the class's order. */
    @Transactional(readOnly = true)
    public List<CardOut> outOfWeek(UUID weekId) {
        HomeWeekRow week = weeks.findById(weekId).orElseThrow(NotFound::new);
        SchoolClass c = access.teach(week.classId());
        return cards.findByWeekIdInOrderByCardNumber(List.of(weekId)).stream()
                .filter(card -> !card.withdrawn())
                .map(card -> out(card, week, c))
                .toList();
    }

    private CardOut out(HomeCardRow card, HomeWeekRow week, SchoolClass c) {
        Pupil pupil = c.pupils().stream()
                .filter(p -> p.id().equals(card.pupilId()))
                .findFirst()
                .orElseThrow(NotFound::new);
        pupil.details();
        return new CardOut(card, week, body(card), pupil, c.name());
    }
}
