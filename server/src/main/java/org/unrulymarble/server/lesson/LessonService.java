package org.unrulymarble.server.lesson;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.defaults.Planning;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.plan.Allowed;
import org.unrulymarble.core.plan.Block;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.edit.CircuitEdit;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.plan.findings.Findings;
import org.unrulymarble.core.propose.NextLesson;
import org.unrulymarble.core.record.Standings;
import org.unrulymarble.core.rotation.Groups;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;
import org.unrulymarble.server.record.RecordService;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.ClassCompany;
import org.unrulymarble.server.store.KitService;
import org.unrulymarble.server.store.Roster;
import org.unrulymarble.server.store.SchoolClass;
import org.unrulymarble.server.store.SpaceRow;
import org.unrulymarble.server.store.Spaces;
import tools.jackson.databind.json.JsonMapper;

@Service
@Transactional
public class LessonService {

    private static final Duration COMES_BACK_FOR = Duration.ofDays(30);

    private final LessonRows rows;
    private final ClassAccess access;
    private final LessonAccess gate;
    private final HandOvers handOvers;
    private final Spaces spaces;
    private final LadderService ladders;
    private final KitService kit;
    private final RecordService records;
    private final Planning planning;
    private final JsonMapper json;
    private final Clock clock;
    private final LessonRuns runs;
    private final ClassCompany company;
    private final MetBefore before;

    LessonService(
            LessonRows rows,
            ClassAccess access,
            LessonAccess gate,
            HandOvers handOvers,
            Spaces spaces,
            LadderService ladders,
            KitService kit,
            RecordService records,
            Planning planning,
            JsonMapper json,
            Clock clock,
            LessonRuns runs,
            ClassCompany company,
            MetBefore before) {
        this.runs = runs;
        this.company = company;
        this.before = before;
        this.kit = kit;
        this.records = records;
        this.planning = planning;
        this.clock = clock;
        this.rows = rows;
        this.access = access;
        this.gate = gate;
        this.handOvers = handOvers;
        this.spaces = spaces;
        this.ladders = ladders;
        this.json = json;
    }

    /**
     * A lesson with all that the plan and the run need of it.
     *
     * @param mayChange whether the asker teaches the class
     */
    public record Known(
            UUID id,
            long version,
            String name,
            LocalDate onDay,
            Lesson lesson,
            Roster roster,
            SpaceRow space,
            boolean mayChange) {}

    /** A lesson as a list has it. */
    record Listed(UUID id, String name, LocalDate onDay, LessonHead head, Roster roster, SpaceRow space) {}

    /** @param classId null for the lesson's own class; times 1 to 60, each everyDays (0 to 366) after the one before */
    record Copies(
            @Nullable UUID classId,
            LocalDate onDay,
            @Nullable Integer times,
            @Nullable Integer everyDays) {
        Copies {
            times = times == null ? (Integer) 1 : times;
            everyDays = everyDays == null ? (Integer) 7 : everyDays;
            new Checks()
                    .required("onDay", onDay)
                    .range("times", times, 1, 60)
                    .range("everyDays", everyDays, 0, 366)
                    .done();
        }
    }

    /** @param days forwards, or back where below 0; -366 to 366. @param andLater whether the class's later lessons move along */
    record Shift(Integer days, @Nullable Boolean andLater) {
        Shift {
            andLater = andLater != null && andLater;
            new Checks().range("days", days, -366, 366).done();
        }
    }

    /** A lesson, and all that it is planned for as that stands now; its blocks are placed once for whatever is made of it. */
    public record Ready(Known known, Setting setting, List<Placed> placed) {}

    /** Lessons of the asker's classes, or of one of them, by day. */
    @Transactional(readOnly = true)
    List<Listed> all(UUID classId) {
        List<SchoolClass> classes = classId == null ? access.mine() : List.of(access.see(classId));
        return rows.linesOf(classes.stream().map(SchoolClass::id).toList()).stream()
                .map(this::listed)
                .toList();
    }

    /** Lessons that were handed to the asker for today. */
    @Transactional(readOnly = true)
    List<Listed> handed() {
        return rows.lines(gate.handedToday()).stream().map(this::listed).toList();
    }

    /** @throws NotFound also for a lesson of somebody else's class */
    @Transactional(readOnly = true)
    public Known see(UUID id) {
        return known(row(id));
    }

    @Transactional(readOnly = true)
    public Ready ready(UUID id) {
        Known known = see(id);
        SchoolClass schoolClass = gate.see(id, known.roster().classId());
        Setting setting = setting(schoolClass, known);
        return new Ready(known, setting, Placed.all(known.lesson(), setting));
    }

    public Ready create(LessonDoc doc) {
        SchoolClass schoolClass = access.teach(doc.classId());
        return save(new LessonRow(UUID.randomUUID(), schoolClass.id()), doc);
    }

    /** @throws Stale when it was changed since; nothing is saved then */
    public Ready change(UUID id, LessonDoc doc) {
        LessonRow row = row(id);
        access.teach(row.classId());
        Stale.unless(row.version(), doc.version());
        return save(row, doc);
    }

    /** For some weeks it can come back; those that went before are dropped for good. */
    void remove(UUID id) {
        LessonRow row = row(id);
        access.teach(row.classId());
        Instant now = clock.instant();
        row.gone(now);
        rows.deleteByGoneAtBefore(now.minus(COMES_BACK_FOR));
    }

    /** Takes a deletion back. */
    Listed bringBack(UUID id) {
        LessonRow row = rows.findById(id).orElseThrow(NotFound::new);
        access.teach(row.classId());
        row.gone(null);
        return listed(row);
    }

    /**
     * Copies of a lesson, for the same class or another of the asker's.
     *
     * @throws NotFound for a class that the asker does not teach
     */
    List<Listed> copy(UUID id, Copies wanted) {
        Known first = see(id);
        SchoolClass to = access.teach(wanted.classId() == null ? first.roster().classId() : wanted.classId());
        Set<String> pupilIds = to.pupils().stream().map(p -> p.id().toString()).collect(Collectors.toSet());
        Lesson again = first.lesson().again(pupilIds);
        List<Listed> made = new ArrayList<>();
        for (int n = 0; n < wanted.times(); n++) {
            LessonRow row = new LessonRow(UUID.randomUUID(), to.id());
            keep(row, first.name(), wanted.onDay().plusDays((long) n * wanted.everyDays()), first.space(), again);
            made.add(listed(rows.save(row)));
        }
        return made;
    }

    /** Moves a lesson by so many days, and those of its class on the same day or later with it if so wanted; what was taught stays. */
    List<Listed> shift(UUID id, Shift wanted) {
        LessonRow first = row(id);
        access.teach(first.classId());
        LocalDate from = first.onDay();
        List<LessonRow> all = wanted.andLater()
                ? rows.findByClassIdAndGoneAtNullOrderByOnDayAscNameAsc(first.classId()).stream()
                        .filter(l -> !l.onDay().isBefore(from))
                        .toList()
                : List.of(first);
        Map<UUID, LocalDate> taught =
                runs.recordedOn(all.stream().map(LessonRow::id).toList());
        return all.stream()
                .filter(l -> !taught.containsKey(l.id()))
                .peek(l -> {
                    LocalDate to = l.onDay().plusDays(wanted.days());
                    handOvers.moved(l.id(), l.onDay(), to);
                    l.day(to);
                })
                .map(this::listed)
                .toList();
    }

    /**
     * The days on which lessons were taught; those that were not are absent. One of an earlier day that was never run here was taught where the class
     * has results of that day: they came from paper.
     */
    @Transactional(readOnly = true)
    Map<UUID, LocalDate> taughtOn(List<Listed> lessons) {
        Map<UUID, LocalDate> taught =
                new HashMap<>(runs.recordedOn(lessons.stream().map(Listed::id).toList()));
        LocalDate today = LocalDate.now(clock);
        Map<UUID, List<Listed>> unknown = lessons.stream()
                .filter(l -> l.onDay().isBefore(today) && !taught.containsKey(l.id()))
                .collect(Collectors.groupingBy(l -> l.roster().classId()));
        unknown.forEach((classId, past) -> {
            Set<LocalDate> days = records.daysWithResults(
                    classId, past.stream().map(Listed::onDay).collect(Collectors.toSet()));
            past.stream().filter(l -> days.contains(l.onDay())).forEach(l -> taught.put(l.id(), l.onDay()));
        });
        return taught;
    }

    private LessonRow row(UUID id) {
        return rows.findByIdAndGoneAtNull(id).orElseThrow(NotFound::new);
    }

    /** A class in a space, before there is a lesson. */
    @Transactional(readOnly = true)
    Setting here(UUID classId, UUID spaceId) {
        SpaceRow space = spaces.findById(spaceId).orElseThrow(NotFound::new);
        return setting(access.see(classId), space, Lesson.of(60, Lesson.Audience.CLASS, List.of()));
    }

    private Setting setting(SchoolClass schoolClass, SpaceRow space, Lesson lesson) {
        return setting(schoolClass, space, records.standings(schoolClass.id(), ladderIds(lesson)));
    }

    /** With who shared a spot the last times: they are to meet others. */
    private Setting setting(SchoolClass schoolClass, Known known) {
        return met(
                setting(schoolClass, known.space(), known.lesson()),
                schoolClass.id(),
                known.id(),
                known.onDay(),
                known.lesson());
    }

    private Setting met(Setting setting, UUID classId, UUID lessonId, LocalDate onDay, Lesson lesson) {
        List<Groups.Met> met = before.atSpots(classId, lessonId, onDay, lesson);
        return met.isEmpty() ? setting : setting.among(company.of(classId, met));
    }

    private static Set<String> ladderIds(Lesson lesson) {
        return lesson.blocks().stream()
                .map(Block::ladderId)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
    }

    private Setting setting(SchoolClass schoolClass, SpaceRow space, Standings standings) {
        return new Setting(
                space.place(),
                Roster.forPlan(schoolClass, LocalDate.now(clock).getYear()),
                kit.kit(),
                ladders.catalogue(),
                planning,
                standings,
                company.of(schoolClass.id(), List.of()));
    }

    /**
     * The lesson as it would be after a finding's mend; nothing is saved.
     *
     * @throws Stale when the finding belongs to another version
     */
    @Transactional(readOnly = true)
    Lesson mended(UUID id, Long version, String finding) {
        LessonRow row = row(id);
        SchoolClass schoolClass = access.teach(row.classId());
        Stale.unless(row.version(), version);
        Known known = known(row);
        return Findings.mended(known.lesson(), setting(schoolClass, known), finding);
    }

    /** All that a proposal for a lesson is made from. */
    record ForProposal(Setting setting, List<NextLesson.Practised> practised) {}

    /**
     * @param lesson as it stands on the asker's page
     * @throws NotFound also for a lesson of somebody else's class
     */
    @Transactional(readOnly = true)
    ForProposal forProposal(UUID id, Lesson lesson) {
        LessonRow row = row(id);
        SchoolClass schoolClass = access.teach(row.classId());
        SpaceRow space = spaces.findById(row.spaceId()).orElseThrow(NotFound::new);
        List<String> all = ladders.catalogue().all().stream().map(Ladder::id).toList();
        Setting setting = setting(schoolClass, space, records.standings(row.classId(), all));
        return new ForProposal(met(setting, row.classId(), id, row.onDay(), lesson), records.practised(row.classId()));
    }

    /**
     * A lesson as it would be after some edits; nothing is saved.
     *
     * @param lesson as it stands on the asker's page
     * @throws Refused naming {@code edits[i]} when one cannot be
     */
    @Transactional(readOnly = true)
    Lesson edited(UUID id, Lesson lesson, List<Edit> edits) {
        LessonRow row = row(id);
        SchoolClass schoolClass = access.teach(row.classId());
        SpaceRow space = spaces.findById(row.spaceId()).orElseThrow(NotFound::new);
        // Only who goes round with whom depends on what they can do.
        boolean byAbility = edits.stream().anyMatch(CircuitEdit.GroupBy.class::isInstance);
        Setting setting = setting(
                schoolClass, space, byAbility ? records.standings(row.classId(), ladderIds(lesson)) : Standings.NONE);
        if (byAbility) setting = setting.among(company.of(row.classId(), before.inGroups(row)));
        Lesson out = lesson;
        for (int i = 0; i < edits.size(); i++) {
            try {
                out = edits.get(i).on(out, setting);
            } catch (Refused e) {
                new Checks().under("edits[" + i + "]", e).done();
            }
        }
        return out;
    }

    private Ready save(LessonRow row, LessonDoc doc) {
        SpaceRow space = spaces.findById(doc.spaceId())
                .orElseThrow(() ->
                        new Refused("spaceId", Fault.Rule.UNKNOWN, doc.spaceId().toString()));
        Setting setting = met(
                setting(access.teach(row.classId()), space, doc.lesson()),
                row.classId(),
                row.id(),
                doc.onDay(),
                doc.lesson());
        List<Placed> placed = List.of();
        try {
            placed = Placed.all(doc.lesson(), setting);
            Allowed.check(doc.lesson(), setting.catalogue(), setting.kit());
        } catch (Refused e) {
            new Checks().under("lesson", e).done();
        }
        if (row.onDay() != null) handOvers.moved(row.id(), row.onDay(), doc.onDay());
        keep(row, doc.name().strip(), doc.onDay(), space, doc.lesson());
        return new Ready(known(rows.saveAndFlush(row)), setting, placed);
    }

    private void keep(LessonRow row, String name, LocalDate onDay, SpaceRow space, Lesson lesson) {
        row.change(
                name,
                onDay,
                space.id(),
                json.writeValueAsString(lesson),
                json.writeValueAsString(LessonHead.of(lesson)));
    }

    private Listed listed(LessonRow row) {
        return listed(new LessonRows.Line(row.id(), row.classId(), row.spaceId(), row.name(), row.onDay(), row.head()));
    }

    private Listed listed(LessonRows.Line row) {
        return new Listed(
                row.id(),
                row.name(),
                row.onDay(),
                json.readValue(row.head(), LessonHead.class),
                Roster.of(gate.see(row.id(), row.classId())),
                spaces.findById(row.spaceId()).orElseThrow(NotFound::new));
    }

    private Known known(LessonRow row) {
        SchoolClass schoolClass = gate.see(row.id(), row.classId());
        return new Known(
                row.id(),
                row.version(),
                row.name(),
                row.onDay(),
                LessonJson.read(json, row.plan()),
                Roster.of(schoolClass),
                spaces.findById(row.spaceId()).orElseThrow(NotFound::new),
                access.teaches(schoolClass));
    }
}
