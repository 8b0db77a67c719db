package org.unrulymarble.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.annotation.Profile;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.server.account.Account;
import org.unrulymarble.server.account.AccountService;
import org.unrulymarble.server.account.Role;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.lesson.LessonDoc;
import org.unrulymarble.server.lesson.LessonService;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.store.KitService;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.PupilDetails;
import org.unrulymarble.server.store.SchoolClass;
import org.unrulymarble.server.store.SpaceRow;

/** Fills an empty store with Thistledown Wharf School. All people, places and numbers are invented. */
@Component
@Profile("demo")
class DemoWorld {

    private static final int LESSONS_BEFORE = 11;
    private static final String OFFICE = "quay";
    private static final String NEXT_LESSON = "Sail loft, wet Tuesday";
    private static final List<List<String>> TAUGHT = List.of(
            List.of("low-and-loud-dribble", "clap-and-collect", "sock-bullseye"),
            List.of("wall-and-back", "round-the-middle", "bound-and-freeze"),
            List.of("wall-serve-stepping-back", "cup-and-sock", "low-and-loud-dribble"),
            List.of("chest-pass-to-the-chalk", "clap-and-collect", "four-corners"));

    private final AccountService accounts;
    private final LessonService lessons;
    private final RecordService records;
    private final LadderService ladders;
    private final KitService kit;
    private final KitKinds kinds;
    private final DemoHome home;
    private final EntityManager store;
    private final Clock clock;

    DemoWorld(
            AccountService accounts,
            LessonService lessons,
            RecordService records,
            LadderService ladders,
            KitService kit,
            KitKinds kinds,
            DemoHome home,
            EntityManager store,
            Clock clock) {
        this.kit = kit;
        this.kinds = kinds;
        this.home = home;
        this.accounts = accounts;
        this.lessons = lessons;
        this.records = records;
        this.ladders = ladders;
        this.store = store;
        this.clock = clock;
    }

    @Transactional
    void fill() {
        office();
        Account okafor = accounts.create("okafor", "Ms Okafor-Lind", "okafor-demo", Role.TEACHER);
        Account brambell = accounts.create("brambell", "Mr Brambell", "brambell-demo", Role.TEACHER);
        Account helper = accounts.create("helper", "Helper", "helper-demo", Role.HELPER);
        Map<String, SpaceRow> spaces = spaces();
        int year = LocalDate.now(clock).getYear();
        SchoolClass turnstone =
                schoolClass("Turnstone 6", okafor, DemoPupils.details(DemoPupils.TURNSTONE, year, 11, 6));
        SchoolClass dunlin = schoolClass("Dunlin 5", okafor, DemoPupils.details(DemoPupils.DUNLIN, year, 10, 5));
        SchoolClass sanderling =
                schoolClass("Sanderling 8", brambell, DemoPupils.details(DemoPupils.SANDERLING, year, 13, 8));
        turnstone.letHelp(helper.id());
        dunlin.letHelp(helper.id());
        store.flush();
        kit.put(DemoStore.kit(kinds));

        DemoLessons plans = new DemoLessons(ladders.catalogue());
        LocalDate tuesday = next(DayOfWeek.TUESDAY);
        LocalDate thursday = next(DayOfWeek.THURSDAY);
        as(okafor, () -> {
            history(turnstone, spaces.get("Sail loft"), tuesday, plans, 61);
            history(dunlin, spaces.get("Rope yard"), thursday, plans, 52);
            store.flush();
            home.fill(turnstone.id(), LocalDate.now(clock));
            plan(turnstone, spaces.get("Sail loft"), NEXT_LESSON, tuesday, plans.wetTuesday());
            plan(dunlin, spaces.get("Cloakroom corridor"), "Corridor lanes", thursday, plans.corridorLanes());
            for (int day = 0; day < 4; day++)
                plan(
                        dunlin,
                        spaces.get("Home corner"),
                        "Kitchen-floor week, day " + (day + 1),
                        thursday.plusDays(1L + day),
                        plans.kitchenFloor(day));
        });
        as(brambell, () -> {
            history(sanderling, spaces.get("Net store"), next(DayOfWeek.FRIDAY), plans, 83);
            plan(
                    sanderling,
                    spaces.get("Net store"),
                    "Net store jack night",
                    next(DayOfWeek.FRIDAY),
                    plans.jackNight());
        });
    }

    /** Moves the whole world on by whole weeks once its next lesson has gone by, so that the demo never looks stale. */
    @Transactional
    void keepFresh() {
        // A demo from before there was an administrator gets one too.
        if (!accounts.isKnown(OFFICE)) office();
        LocalDate next = (LocalDate) store.createQuery("select max(l.onDay) from LessonRow l where l.name = :name")
                .setParameter("name", NEXT_LESSON)
                .getSingleResult();
        LocalDate today = LocalDate.now(clock);
        if (next == null || !next.isBefore(today)) return;
        long days = 7 * ((ChronoUnit.DAYS.between(next, today) + 6) / 7);
        for (String table : List.of("lesson", "attempt", "run", "remark", "standing", "home_came"))
            store.createNativeQuery("update " + table + " set on_day = on_day + " + days)
                    .executeUpdate();
        store.createNativeQuery("update home_week set first_day = first_day + " + days)
                .executeUpdate();
        store.createNativeQuery("update ladder_record set for_day = null").executeUpdate();
    }

    private void office() {
        accounts.create(OFFICE, "School office", OFFICE + "-demo", Role.ADMINISTRATOR);
    }

    private LocalDate next(DayOfWeek day) {
        return LocalDate.now(clock).with(TemporalAdjusters.nextOrSame(day));
    }

    private void history(SchoolClass c, SpaceRow space, LocalDate nextLesson, DemoLessons plans, long seed) {
        DemoHistory history = new DemoHistory(ladders.catalogue(), c.pupils(), seed);
        for (int n = 0; n < LESSONS_BEFORE; n++) {
            int fromLast = LESSONS_BEFORE - 1 - n;
            // Twelve weeks hold eleven lessons: one week, the sixth back, was a holiday.
            LocalDate day = nextLesson.minusWeeks(fromLast + (fromLast >= 5 ? 2L : 1L));
            List<String> taught = TAUGHT.get(n % TAUGHT.size());
            history.lesson(day, space.name(), taught, n, fromLast);
            plan(c, space, "Lesson " + (n + 1) + " of the term", day, plans.past(taught));
        }
        records.add(c.id(), history.attempts());
    }

    private void plan(SchoolClass c, SpaceRow space, String name, LocalDate day, Lesson lesson) {
        lessons.create(new LessonDoc(null, c.id(), space.id(), name, day, lesson));
    }

    private SchoolClass schoolClass(String name, Account teacher, List<PupilDetails> pupils) {
        SchoolClass c = new SchoolClass(UUID.randomUUID(), name, teacher.id());
        for (PupilDetails details : pupils) c.add(new Pupil(UUID.randomUUID(), details));
        store.persist(c);
        return c;
    }

    private Map<String, SpaceRow> spaces() {
        Map<String, SpaceRow> spaces = new LinkedHashMap<>();
        DemoStore.spaces().forEach((name, place) -> {
            SpaceRow row = new SpaceRow(UUID.randomUUID(), name, place);
            store.persist(row);
            spaces.put(name, row);
        });
        return spaces;
    }

    /** The services ask who is asking; here it is the class's own teacher. */
    private static void as(Account teacher, Runnable work) {
        SignedIn in = new SignedIn(teacher.id(), "demo", "demo", Role.TEACHER);
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(in, null, List.of()));
        try {
            work.run();
        } finally {
            SecurityContextHolder.clearContext();
        }
    }
}
