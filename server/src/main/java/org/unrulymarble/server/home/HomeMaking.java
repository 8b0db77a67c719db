package org.unrulymarble.server.home;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.home.HomePlanner;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.place.Place;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.propose.Proposer;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.lesson.LessonService;
import org.unrulymarble.server.platform.LongWork;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Progress;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.KitService;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.PupilDetails;
import org.unrulymarble.server.store.Roster;
import org.unrulymarble.server.store.SchoolClass;
import tools.jackson.databind.json.JsonMapper;

/** Makes the cards of a week, one pupil after the other, in a thread that lets every tap go first. Each card is kept as soon as it is made. */
@Service
public class HomeMaking {

    private static final Logger LOG = LoggerFactory.getLogger(HomeMaking.class);

    private final HomeWeeks weeks;
    private final HomeCards cards;
    private final HomeCames cames;
    private final RecordService records;
    private final ClassAccess access;
    private final LessonService lessons;
    private final LadderService ladders;
    private final KitService kit;
    private final Planning planning;
    private final Proposer proposer;
    private final Progress progress;
    private final TransactionTemplate inOne;
    private final Clock clock;
    private final JsonMapper json;

    private final LongWork longWork;

    HomeMaking(
            LongWork longWork,
            HomeWeeks weeks,
            HomeCards cards,
            HomeCames cames,
            RecordService records,
            ClassAccess access,
            LessonService lessons,
            LadderService ladders,
            KitService kit,
            Planning planning,
            Proposer proposer,
            Progress progress,
            TransactionTemplate inOne,
            Clock clock,
            JsonMapper json) {
        this.longWork = longWork;
        this.weeks = weeks;
        this.cards = cards;
        this.cames = cames;
        this.records = records;
        this.access = access;
        this.lessons = lessons;
        this.ladders = ladders;
        this.kit = kit;
        this.planning = planning;
        this.proposer = proposer;
        this.progress = progress;
        this.inOne = inOne;
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
            @Nullable Boolean quiet,
            @Nullable Boolean helper,
            @Nullable UUID lessonId,
            @Nullable List<UUID> pupilIds) {
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

    /** One pupil's part of the work, with all that it needs from the store. */
    private record Part(UUID pupilId, int home, HomePlanner planner, HomePlanner.Week week, Lesson lesson) {

        Part without(List<String> ladderIds) {
            return new Part(pupilId, home, planner.without(ladderIds), week, lesson);
        }

        List<HomePractice> practices() {
            if (lesson == null) return planner.week(week);
            HomePractice same = planner.of(lesson);
            return same == null ? List.of() : java.util.Collections.nCopies(week.practices(), same);
        }
    }

    /** A week with all its cards before it returns: for whoever fills a store. @return its id */
    public UUID now(UUID classId, WeekWanted wanted) {
        UUID weekId = begun(classId, wanted);
        inOne.executeWithoutResult(status -> parts(weekId).forEach(part -> keep(weekId, part, part.practices())));
        return weekId;
    }

    /** Begins a week; its cards come one after the other. @return its id */
    UUID begin(UUID classId, WeekWanted wanted) {
        UUID weekId = begun(classId, wanted);
        goOn(weekId);
        return weekId;
    }

    private UUID begun(UUID classId, WeekWanted wanted) {
        return inOne.execute(status -> {
            SchoolClass c = access.teach(classId);
            List<UUID> all = c.pupils().stream().map(Pupil::id).toList();
            List<UUID> pupils = wanted.pupilIds() == null
                    ? all
                    : all.stream().filter(wanted.pupilIds()::contains).toList();
            new Checks()
                    .that(!pupils.isEmpty(), "pupilIds", Fault.Rule.ENTRIES, 1, all.size())
                    .done();
            if (wanted.lessonId() != null
                    && !lessons.see(wanted.lessonId()).roster().classId().equals(classId)) throw new NotFound();
            return weeks.save(new HomeWeekRow(classId, wanted, pupils, clock.instant()))
                    .id();
        });
    }

    /** Makes the cards that are missing: of a week that was begun, or was broken off. */
    void goOn(UUID weekId) {
        if (progress.of(weekId).isPresent()) return;
        List<Part> parts = Objects.requireNonNull(inOne.execute(status -> parts(weekId)));
        if (parts.isEmpty()) return;
        progress.begin(weekId, parts.size());
        longWork.later(() -> make(weekId, parts));
    }

    private void make(UUID weekId, List<Part> parts) {
        try {
            for (int i = 0; i < parts.size(); i++) {
                Part part = parts.get(i);
                List<HomePractice> practices = part.practices();
                inOne.executeWithoutResult(status -> keep(weekId, part, practices));
                progress.far(weekId, i + 1, parts.size());
            }
        } catch (RuntimeException e) {
            LOG.error("the cards of week {} were broken off", weekId, e);
        } finally {
            progress.end(weekId);
        }
    }

    /** @param without ladders of tasks that are not to be on the card, 1 to 20 */
    record CardWithout(List<String> without) {
        CardWithout {
            new Checks().entries("without", without, 1, 20).done();
        }
    }

    /**
     * Makes a card anew without some of its tasks.
     *
     * @throws Refused for one that is withdrawn or from which something came back, and where nothing is left that fits
     */
    void remake(UUID cardId, CardWithout wanted) {
        inOne.executeWithoutResult(status -> {
            HomeCardRow card =
                    cards.findById(cardId == null ? new UUID(0, 0) : cardId).orElseThrow(NotFound::new);
            Week week = week(card.weekId());
            new Checks()
                    .that(!card.withdrawn(), "card", Fault.Rule.KIND, "one that is not withdrawn")
                    .that(
                            cames.findByCardIdInOrderByCameAt(List.of(cardId)).isEmpty(),
                            "card",
                            Fault.Rule.KIND,
                            "one from which nothing came back yet")
                    .done();
            Pupil pupil = week.of().pupils().stream()
                    .filter(p -> p.id().equals(card.pupilId()))
                    .findFirst()
                    .orElseThrow(NotFound::new);
            List<HomePractice> practices = part(week, pupil, card.home(), records.practisedBy(pupil.id()))
                    .without(wanted.without())
                    .practices();
            new Checks()
                    .that(
                            !practices.isEmpty(),
                            "without",
                            Fault.Rule.KIND,
                            "such that something is left that fits this home")
                    .done();
            card.made(cards.highest() + 1, json.writeValueAsString(new CardBody(CardBody.VERSION, practices)));
        });
    }

    /** A pupil or a week that went meanwhile gets no card. */
    private void keep(UUID weekId, Part part, List<HomePractice> practices) {
        if (weeks.existsById(weekId) && cards.isPupil(part.pupilId()))
            cards.saveAndFlush(new HomeCardRow(
                    weekId,
                    part.pupilId(),
                    part.home(),
                    cards.highest() + 1,
                    json.writeValueAsString(new CardBody(CardBody.VERSION, practices))));
    }

    /** A week with all that its cards are made from. @param school the class's setting in a home of which nothing is known */
    private record Week(HomeWeekRow row, SchoolClass of, Setting school, Lesson lesson, int year) {}

    /** @throws NotFound for one of a class that the asker does not teach */
    private Week week(UUID weekId) {
        HomeWeekRow row = weeks.findById(weekId).orElseThrow(NotFound::new);
        SchoolClass c = access.teach(row.classId());
        List<String> all = ladders.catalogue().all().stream().map(Ladder::id).toList();
        Setting school = new Setting(
                Place.of(HomePlanner.UNKNOWN),
                List.of(),
                kit.kit(),
                ladders.catalogue(),
                planning,
                records.standings(c.id(), all));
        Lesson lesson =
                row.lessonId() == null ? null : lessons.see(row.lessonId()).lesson();
        return new Week(row, c, school, lesson, LocalDate.now(clock).getYear());
    }

    private List<Part> parts(UUID weekId) {
        Week week = week(weekId);
        Set<HomeOf> made = cards.findByWeekIdInOrderByCardNumber(List.of(weekId)).stream()
                .map(card -> new HomeOf(card.pupilId(), card.home()))
                .collect(Collectors.toSet());
        List<Part> parts = new ArrayList<>();
        for (Pupil pupil : week.of().pupils()) {
            if (!week.row().pupils().contains(pupil.id())) continue;
            List<NextLesson.Practised> practised = records.practisedBy(pupil.id());
            for (int home = 1; home <= homes(pupil.details(), week.row()).size(); home++)
                if (!made.contains(new HomeOf(pupil.id(), home))) parts.add(part(week, pupil, home, practised));
        }
        return parts;
    }

    private Part part(Week week, Pupil pupil, int home, List<NextLesson.Practised> practised) {
        List<HomePlanner.Home> homes = homes(pupil.details(), week.row());
        HomePlanner planner = new HomePlanner(
                week.school(),
                Roster.forPlan(pupil, week.year()),
                // Whoever has one home only now has the card of the other made for that one.
                homes.get(Math.min(home, homes.size()) - 1),
                pupil.details().shoeCm(),
                practised,
                proposer::ofFew);
        return new Part(pupil.id(), home, planner, week.row().asked(), week.lesson());
    }

    private record HomeOf(UUID pupilId, int home) {}

    /** One or two; where nobody told whether somebody lives below, the week says so for all. */
    private static List<HomePlanner.Home> homes(PupilDetails d, HomeWeekRow week) {
        List<HomePlanner.Home> homes = new ArrayList<>();
        homes.add(new HomePlanner.Home(
                d.homeSpace(), d.homeQuiet() == null ? week.quiet() : d.homeQuiet(), d.homeKit(), week.helper()));
        PupilDetails.OtherHome other = d.otherHome();
        if (other != null)
            homes.add(new HomePlanner.Home(
                    other.space(), other.quiet() == null ? week.quiet() : other.quiet(), other.kit(), week.helper()));
        return homes;
    }
}
