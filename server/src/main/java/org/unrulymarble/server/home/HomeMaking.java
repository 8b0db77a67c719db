package org.unrulymarble.server.home;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
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

    /** One pupil's part of the work, with all that it needs from the store. */
    private record Part(UUID pupilId, int home, HomePlanner planner, HomePlanner.Week week, Lesson lesson) {

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

    private List<Part> parts(UUID weekId) {
        HomeWeekRow week = weeks.findById(weekId).orElseThrow(NotFound::new);
        SchoolClass c = access.teach(week.classId());
        Set<HomeOf> made = cards.findByWeekIdInOrderByCardNumber(List.of(weekId)).stream()
                .map(card -> new HomeOf(card.pupilId(), card.home()))
                .collect(Collectors.toSet());
        Lesson lesson =
                week.lessonId() == null ? null : lessons.see(week.lessonId()).lesson();
        List<String> all = ladders.catalogue().all().stream().map(Ladder::id).toList();
        Setting school = new Setting(
                Place.of(HomePlanner.UNKNOWN),
                List.of(),
                kit.kit(),
                ladders.catalogue(),
                planning,
                records.standings(c.id(), all));
        int year = LocalDate.now(clock).getYear();
        List<Part> parts = new ArrayList<>();
        for (Pupil pupil : c.pupils()) {
            if (!week.pupils().contains(pupil.id())) continue;
            List<HomePlanner.Home> homes = homes(pupil.details(), week);
            List<NextLesson.Practised> practised = records.practisedBy(pupil.id());
            for (int home = 1; home <= homes.size(); home++)
                if (!made.contains(new HomeOf(pupil.id(), home)))
                    parts.add(new Part(
                            pupil.id(),
                            home,
                            new HomePlanner(
                                    school,
                                    Roster.forPlan(pupil, year),
                                    homes.get(home - 1),
                                    pupil.details().shoeCm(),
                                    practised,
                                    proposer::ofFew),
                            week.asked(),
                            lesson));
        }
        return parts;
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
