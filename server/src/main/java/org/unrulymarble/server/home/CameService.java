package org.unrulymarble.server.home;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.home.HomeTold;
import org.unrulymarble.core.home.ReturnCode;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.PupilService;
import org.unrulymarble.server.store.SchoolClass;
import tools.jackson.databind.json.JsonMapper;

/** Takes in what comes back from home, and keeps it when the teacher says so. */
@Service
@Transactional
public class CameService {

    private static final int MOST_LINES = 500;

    private final HomeWeeks weeks;
    private final HomeCards cards;
    private final HomeCames cames;
    private final HomeUnreads unreads;
    private final RecordService records;
    private final PupilService homes;
    private final HomeViews views;
    private final CardsOut out;
    private final ClassAccess access;
    private final Clock clock;
    private final JsonMapper json;

    CameService(
            HomeWeeks weeks,
            HomeCards cards,
            HomeCames cames,
            HomeUnreads unreads,
            RecordService records,
            PupilService homes,
            HomeViews views,
            CardsOut out,
            ClassAccess access,
            Clock clock,
            JsonMapper json) {
        this.weeks = weeks;
        this.cards = cards;
        this.cames = cames;
        this.unreads = unreads;
        this.records = records;
        this.homes = homes;
        this.views = views;
        this.out = out;
        this.access = access;
        this.clock = clock;
        this.json = json;
    }

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

    /** A line that was not taken. @param pupil whose card it names, where that is known @param kept whether it waits to be put right */
    public record NotTaken(
            @Nullable String line, Wrong wrong, @Nullable String pupil, boolean kept) {
        NotTaken(@Nullable String line, Wrong wrong, @Nullable String pupil) {
            this(line, wrong, pupil, line != null && HomeUnreadRow.keeps(line, wrong));
        }
    }

    public record Heard(List<HomeViews.CameBack> taken, List<NotTaken> wrong) {}

    /** A paper slip. */
    public record Slip(UUID cardId, Integer practice, List<@Nullable Integer> numbers, ReturnCode.@Nullable Felt felt) {
        public Slip {
            new Checks()
                    .required("cardId", cardId)
                    .range("practice", practice, 1, ReturnCode.MOST_PRACTICES)
                    .that(numbers != null, "numbers", Fault.Rule.REQUIRED)
                    .done();
        }
    }

    /**
     * Takes codes in: one on each line, or several with commas between.
     *
     * @param text as it was pasted
     * @param mended the line that could not be read before and is put right with it, or null
     */
    public Heard hear(UUID classId, String text, @Nullable UUID mended) {
        SchoolClass c = access.teach(classId);
        new Checks().text("text", text, 40_000).done();
        List<String> lines = text.lines()
                .flatMap(l -> java.util.Arrays.stream(l.split("[,;]")))
                .map(String::strip)
                .filter(l -> !l.isEmpty())
                .toList();
        new Checks().entries("text", lines, 1, MOST_LINES).done();
        if (mended != null) drop(classId, mended);
        List<HomeCameRow> taken = new ArrayList<>();
        List<NotTaken> wrong = new ArrayList<>();
        for (String line : lines) hear(c, line, taken, wrong);
        Instant now = clock.instant();
        for (NotTaken n : wrong)
            if (n.kept() && !unreads.existsByClassIdAndLine(classId, n.line()))
                unreads.saveAndFlush(new HomeUnreadRow(classId, n.line(), n.wrong(), now));
        List<UUID> ids = taken.stream().map(HomeCameRow::id).toList();
        cames.flush();
        return new Heard(
                views.of(classId).came().stream()
                        .filter(r -> ids.contains(r.id()))
                        .toList(),
                wrong);
    }

    /** A line that nobody can put right. */
    void drop(UUID classId, UUID unreadId) {
        access.teach(classId);
        HomeUnreadRow row = unreads.findById(unreadId)
                .filter(r -> r.classId().equals(classId))
                .orElseThrow(NotFound::new);
        unreads.delete(row);
        unreads.flush();
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
        String pupil = c.everybody().stream()
                .filter(p -> p.id().equals(card.pupilId()))
                .map(Pupil::name)
                .findFirst()
                .orElse(null);
        CardBody body = card.read(json);
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

    /** Numbers from paper slips, or, as practice {@link HomeTold#PRACTICE}, what a family ticked of its home; a slip that came before is left out. */
    public Heard slips(UUID classId, List<Slip> slips) {
        access.teach(classId);
        new Checks().entries("slips", slips, 1, MOST_LINES).done();
        List<UUID> taken = new ArrayList<>();
        List<NotTaken> wrong = new ArrayList<>();
        for (int i = 0; i < slips.size(); i++) {
            Slip slip = slips.get(i);
            HomeCardRow card = out.card(slip.cardId());
            HomeWeekRow week = weeks.findById(card.weekId()).orElseThrow(NotFound::new);
            if (!week.classId().equals(classId)) throw new NotFound();
            CardBody body = card.read(json);
            try {
                boolean ofHome = slip.practice() == HomeTold.PRACTICE;
                if (!ofHome)
                    new Checks()
                            .range(
                                    "practice",
                                    slip.practice(),
                                    1,
                                    body.practices().size())
                            .done();
                ReturnCode said = new ReturnCode(card.number(), slip.practice(), slip.numbers(), slip.felt());
                // Checked as a code is: by count and by range.
                said.code(
                        card.key(),
                        ofHome ? HomeTold.MOST : body.practice(slip.practice()).most());
                if (cameBefore(card, said)) wrong.add(new NotTaken(null, Wrong.CAME_BEFORE, null));
                else taken.add(keep(card, week, said, true).id());
            } catch (Refused e) {
                new Checks().under("slips[" + i + "]", e).done();
            }
        }
        return new Heard(
                views.of(classId).came().stream()
                        .filter(r -> taken.contains(r.id()))
                        .toList(),
                wrong);
    }

    /** @param ids of what came back, 1 to 500; what was decided on already stays as it is */
    public record Decided(List<UUID> ids) {
        public Decided {
            new Checks().entries("ids", ids, 1, MOST_LINES).done();
        }
    }

    /** Into the record: from home, not confirmed. */
    public HomeViews.HomeView keep(UUID classId, Decided decided) {
        return decide(classId, decided, HomeCameRow.State.KEPT);
    }

    HomeViews.HomeView putAside(UUID classId, Decided decided) {
        return decide(classId, decided, HomeCameRow.State.ASIDE);
    }

    private HomeViews.HomeView decide(UUID classId, Decided decided, HomeCameRow.State becomes) {
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
                        card.read(json)
                                .practice(row.practice())
                                .attempts(
                                        card.pupilId().toString(),
                                        row.onDay(),
                                        row.numbers(),
                                        () -> UUID.randomUUID().toString()));
        }
        cames.flush();
        return views.of(classId);
    }
}
