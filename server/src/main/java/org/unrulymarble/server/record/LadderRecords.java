package org.unrulymarble.server.record;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.record.Advice;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.record.Judge;
import org.unrulymarble.core.record.LadderRecord;
import org.unrulymarble.core.record.OnLadder;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.server.ladder.LadderChanged;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.Build;
import org.unrulymarble.server.record.LadderRecordRow.Key;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the pupils' attempts come to, kept ladder by ladder, so that a look costs the same after five years as after a week. Whatever changes an attempt
 * says so here; what is kept then is worked out anew by the core before it is next looked at.
 */
@Service
@Transactional
class LadderRecords {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final LadderRecordRows rows;
    private final AttemptRows attempts;
    private final RemarkRows remarks;
    private final AdviceService advice;
    private final SkillService skill;
    private final LadderService ladders;
    private final EntityManager store;
    private final Clock clock;
    private final Build build;

    LadderRecords(
            LadderRecordRows rows,
            AttemptRows attempts,
            RemarkRows remarks,
            AdviceService advice,
            SkillService skill,
            LadderService ladders,
            EntityManager store,
            Clock clock,
            Build build) {
        this.rows = rows;
        this.attempts = attempts;
        this.remarks = remarks;
        this.advice = advice;
        this.skill = skill;
        this.ladders = ladders;
        this.store = store;
        this.clock = clock;
        this.build = build;
    }

    /** Of each pupil and ladder of a class; {@link #bringUpToDate} comes first. */
    @Transactional(readOnly = true)
    List<OnLadder> ofClass(UUID classId) {
        return briefs(rows.briefOfClass(classId, today(), maker()));
    }

    private static List<OnLadder> briefs(List<LadderRecordRows.Kept> kept) {
        return kept.stream()
                .map(r -> JSON.readValue(r.getTold(), OnLadder.class))
                .toList();
    }

    /** Of one pupil on each ladder; {@link #bringUpToDate} comes first. */
    @Transactional(readOnly = true)
    List<LadderRecord> ofPupil(UUID pupilId) {
        return rows.wholeOfPupil(pupilId, today(), maker()).stream()
                .map(LadderRecords::whole)
                .toList();
    }

    /** Of a whole class on one ladder; {@link #bringUpToDate} comes first. */
    @Transactional(readOnly = true)
    List<LadderRecord> onLadder(UUID classId, String ladderId) {
        return rows.wholeOfLadder(classId, ladderId, today(), maker()).stream()
                .map(LadderRecords::whole)
                .toList();
    }

    private static LadderRecord whole(LadderRecordRows.Kept r) {
        return JSON.readValue(r.getTold(), LadderRecord.class);
    }

    /** Where the pupils of a class stand, of some ladders; what is not up to date is worked out and not kept. */
    @Transactional(readOnly = true)
    List<OnLadder> standing(UUID classId, Collection<String> ladderIds) {
        List<LadderRecordRows.Due> due = rows.due(classId, today(), maker()).stream()
                .filter(d -> ladderIds.contains(d.getLadderId()))
                .toList();
        List<OnLadder> out = new ArrayList<>(briefs(rows.briefOnLadders(classId, ladderIds, today(), maker())));
        if (!due.isEmpty()) workOut(classId, due).values().forEach(r -> out.add(r.brief()));
        return out;
    }

    /** Classes of which something has to be worked out. */
    @Transactional(readOnly = true)
    List<UUID> classesDue() {
        return rows.classesDue(today(), maker());
    }

    /** Works out what has changed in a class since it was last looked at; after midnight all of it, since tries age by the day. */
    void bringUpToDate(UUID classId) {
        LocalDate today = today();
        List<LadderRecordRows.Due> due = rows.due(classId, today, maker());
        if (due.isEmpty()) return;
        Map<Key, LadderRecord> made = workOut(classId, due);
        // Five years of attempts would be looked through for changes before each row that is written.
        store.clear();
        for (LadderRecordRows.Due d : due) {
            LadderRecord r = made.get(key(d));
            if (r != null)
                rows.fill(
                        d.getPupilId(),
                        d.getLadderId(),
                        d.getStamp(),
                        today,
                        maker(),
                        JSON.writeValueAsString(r.brief()),
                        JSON.writeValueAsString(r));
        }
    }

    private Map<Key, LadderRecord> workOut(UUID classId, List<LadderRecordRows.Due> due) {
        Map<String, Ladder> known = new HashMap<>();
        for (LadderRecordRows.Due d : due)
            ladders.catalogue().ladder(d.getLadderId()).ifPresent(l -> known.put(l.id(), l));
        Set<Key> keys = due.stream().map(LadderRecords::key).collect(Collectors.toCollection(HashSet::new));
        Map<Key, List<Attempt>> tried = new HashMap<>();
        for (AttemptRow row : attempts.findByClassIdAndLadderIdInAndStruckFalseOrderByOnDayAscSetNumberAscIdAsc(
                classId, known.keySet())) {
            Key key = new Key(row.pupilId(), row.ladderId());
            if (keys.contains(key))
                tried.computeIfAbsent(key, k -> new ArrayList<>()).add(row.attempt());
        }
        Map<Key, List<Advice.Standing>> said = new HashMap<>();
        for (Advice.Standing s : advice.saidInClass(classId))
            said.computeIfAbsent(key(s.pupilId(), s.ladderId()), k -> new ArrayList<>())
                    .add(s);
        Map<Key, List<PupilRemark>> words = new HashMap<>();
        for (RemarkRow row : remarks.findByClassIdOrderByOnDayAsc(classId)) {
            PupilRemark r = row.remark();
            if (r.ladderId() != null)
                words.computeIfAbsent(key(r.pupilId(), r.ladderId()), k -> new ArrayList<>())
                        .add(r);
        }
        Judge judge = advice.judge(classId);
        Map<Key, LadderRecord> out = new HashMap<>();
        for (Key key : keys) {
            Ladder ladder = known.get(key.ladderId());
            if (ladder != null)
                out.put(
                        key,
                        LadderRecord.of(
                                key.pupilId().toString(),
                                ladder,
                                tried.getOrDefault(key, List.of()),
                                said.getOrDefault(key, List.of()),
                                words.getOrDefault(key, List.of()),
                                judge));
        }
        return out;
    }

    private static Key key(String pupilId, String ladderId) {
        return new Key(UUID.fromString(pupilId), ladderId);
    }

    private static Key key(LadderRecordRows.Due d) {
        return new Key(d.getPupilId(), d.getLadderId());
    }

    /** Something of these pupils on these ladders has changed. */
    void changed(UUID classId, Set<Key> keys) {
        if (keys.isEmpty()) return;
        // Once for all: thousands of attempts would be looked through for changes before each of these rows.
        store.flush();
        Set<Key> there = rows.there(classId).stream().map(LadderRecords::key).collect(Collectors.toSet());
        Map<String, List<UUID>> byLadder = new HashMap<>();
        for (Key key : keys) {
            if (!there.contains(key)) rows.make(classId, key.pupilId(), key.ladderId());
            byLadder.computeIfAbsent(key.ladderId(), k -> new ArrayList<>()).add(key.pupilId());
        }
        byLadder.forEach(rows::empty);
    }

    /** How a class decides has changed. */
    void changed(UUID classId) {
        rows.emptyClass(classId);
    }

    @EventListener
    void changed(LadderChanged changed) {
        if (!changed.ladderIds().isEmpty()) rows.emptyLadders(changed.ladderIds());
    }

    /** Which rules, and which learnt figures, a record is concluded by. */
    private String maker() {
        return build.rules() + "/" + skill.now().skill().version();
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }
}
