package org.unrulymarble.server.ladder;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.BadLadderFile;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.ladder.Ladder;
import org.unrulymarble.core.ladder.LadderFiles;
import org.unrulymarble.core.ladder.LadderWriter;
import org.unrulymarble.core.ladder.RungWords;
import org.unrulymarble.core.ladder.Search;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.KitService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The shipped ladders and the school's own, as one catalogue. */
@Service
@Transactional
public class LadderService {

    private static final Set<String> KINDS_WORDS = Set.of("what", "make", "makeMin");

    private final OwnLadders rows;
    private final List<LadderUse> uses;
    private final KitService kit;
    private final ClassAccess access;
    private final JsonMapper json;
    private final ApplicationEventPublisher events;
    private final Catalogue shipped;

    /** Worked out anew after each change. */
    private volatile Known known;

    private final AtomicLong changes = new AtomicLong();

    /** A bad shipped file stops the start, with file, line, ladder, field and reason. */
    LadderService(
            OwnLadders rows,
            List<LadderUse> uses,
            KitService kit,
            ClassAccess access,
            JsonMapper json,
            ApplicationEventPublisher events) {
        this.rows = rows;
        this.uses = uses;
        this.kit = kit;
        this.access = access;
        this.json = json;
        this.events = events;
        this.shipped = Catalogue.shipped();
    }

    /** @param read as they read with their own figures */
    private record Known(Catalogue catalogue, List<Ladder> read, Search search) {}

    /**
     * A ladder of the school's own.
     *
     * @param used how often each rung is used by results and plans, by its id
     */
    record Own(String id, long version, boolean retired, Map<String, Long> used, Ladder ladder) {}

    /** What an import did, or would do, with one ladder of the file. */
    record Taken(String id, String name, int rungs, What what) {
        enum What {
            NEW,
            CHANGED,
            SAME
        }
    }

    @Transactional(readOnly = true)
    public Catalogue catalogue() {
        return known().catalogue();
    }

    /** All that are known, each sentence with the figures of its rung. */
    @Transactional(readOnly = true)
    public List<Ladder> read() {
        return known().read();
    }

    @Transactional(readOnly = true)
    List<Ladder> search(Search.Wanted wanted) {
        return known().search().among(wanted);
    }

    private Known known() {
        Known now = known;
        if (now != null) return now;
        long before = changes.get();
        List<Ladder> onOffer = new ArrayList<>(shipped.all());
        List<Ladder> retired = new ArrayList<>();
        for (OwnLadderRow row : rows.findAllByOrderById()) (row.retired() ? retired : onOffer).add(ladder(row));
        Catalogue all = new Catalogue(onOffer, retired);
        List<Ladder> offered = onOffer.stream().map(RungWords::read).toList();
        now = new Known(
                all, all.known().stream().map(RungWords::read).toList(), new Search(offered, new LadderWords(offered)));
        if (changes.get() == before) known = now;
        return now;
    }

    /** Whoever asks while this goes on still gets the old catalogue, and the new one once it is kept. */
    private void changed(List<String> ids) {
        events.publishEvent(new LadderChanged(ids));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                changes.incrementAndGet();
                known = null;
            }
        });
    }

    @Transactional(readOnly = true)
    List<Own> own() {
        return rows.findAllByOrderById().stream().map(this::view).toList();
    }

    @Transactional(readOnly = true)
    Own own(String id) {
        return view(rows.findById(id).orElseThrow(NotFound::new));
    }

    /** @throws Refused also when the id is taken */
    Own create(Map<String, Object> ladder) {
        access.onlyTeachers();
        Ladder checked = checked(ladder);
        new Checks()
                .that(shipped.ladder(checked.id()).isEmpty(), "ladder.id", Fault.Rule.SHIPPED, checked.id())
                .that(!rows.existsById(checked.id()), "ladder.id", Fault.Rule.TWICE, checked.id())
                .done();
        return save(new OwnLadderRow(checked.id(), write(checked)));
    }

    /** @throws Refused also when a rung that is in use is gone */
    Own change(String id, Long version, Map<String, Object> ladder) {
        OwnLadderRow row = mine(id, version);
        Ladder checked = checked(ladder);
        new Checks()
                .that(checked.id().equals(id), "ladder.id", Fault.Rule.ONE_OF, id)
                .done();
        lost(ladder(row), checked).ifPresent(fault -> {
            throw new Refused(List.of(fault.under("ladder")));
        });
        row.change(write(checked));
        return save(row);
    }

    Own retire(String id, Long version, boolean retired) {
        OwnLadderRow row = mine(id, version);
        row.retired(retired);
        return save(row);
    }

    /** @throws Refused while anything uses it: it can be retired */
    void remove(String id) {
        access.onlyTeachers();
        OwnLadderRow row = rows.findById(id).orElseThrow(NotFound::new);
        long used = used(id).values().stream().mapToLong(n -> n).sum();
        if (used > 0) throw new Refused("ladder", Fault.Rule.IN_USE, ladder(row).name(), used);
        rows.delete(row);
        changed(List.of(id));
    }

    /**
     * Takes the ladders of a file, all or none: new ones, and changes to the school's own of the same id.
     *
     * @param dryRun only says what would be done
     * @throws BadLadderFile naming line, ladder, field and reason
     */
    List<Taken> take(String fileName, String text, boolean dryRun) {
        access.onlyTeachers();
        LadderFiles.LadderFile file = LadderFiles.readFile(fileName, text, kit.kinds());
        List<Ladder> ladders = file.ladders();
        List<BadLadderFile.Trouble> troubles = new ArrayList<>();
        List<Taken> taken = new ArrayList<>();
        for (int i = 0; i < ladders.size(); i++) {
            Ladder ladder = ladders.get(i);
            Optional<Ladder> ships = shipped.ladder(ladder.id());
            Optional<OwnLadderRow> mine = rows.findById(ladder.id());
            Optional<Fault> fault = ships.isPresent()
                    ? Optional.of(new Fault("id", Fault.Rule.SHIPPED, List.of(ladder.id())))
                            .filter(f -> !ships.get().equals(ladder))
                    : mine.flatMap(row -> lost(ladder(row), ladder));
            if (fault.isPresent()) {
                int line = LadderFiles.line(
                        text, "ladders[" + i + "]." + fault.get().field());
                troubles.add(new BadLadderFile.Trouble(line, ladder.id(), fault.get()));
                continue;
            }
            boolean same = ships.isPresent()
                    || mine.filter(row -> ladder(row).equals(ladder)).isPresent();
            taken.add(new Taken(
                    ladder.id(),
                    ladder.name(),
                    ladder.rungs().size(),
                    same ? Taken.What.SAME : mine.isPresent() ? Taken.What.CHANGED : Taken.What.NEW));
            if (same || dryRun) continue;
            OwnLadderRow row = mine.orElseGet(() -> new OwnLadderRow(ladder.id(), ""));
            row.change(write(ladder));
            rows.save(row);
        }
        // Nothing of a bad file is kept: throwing undoes what was saved above.
        if (!troubles.isEmpty()) throw new BadLadderFile(fileName, troubles);
        if (dryRun) return taken;
        kit.learn(file.kinds());
        changed(taken.stream()
                .filter(t -> t.what() != Taken.What.SAME)
                .map(Taken::id)
                .toList());
        return taken;
    }

    /** A rung that is used and no longer there. */
    private Optional<Fault> lost(Ladder before, Ladder after) {
        Map<String, Long> used = used(before.id());
        return before.rungs().stream()
                .filter(r -> after.rung(r.id()).isEmpty() && used.getOrDefault(r.id(), 0L) > 0)
                .findFirst()
                .map(r -> new Fault("rungs", Fault.Rule.IN_USE, List.of(r.name(), used.get(r.id()))));
    }

    private Map<String, Long> used(String ladderId) {
        Map<String, Long> sum = new HashMap<>();
        for (LadderUse use : uses)
            use.timesByRung(ladderId).forEach((rung, times) -> sum.merge(rung, times, Long::sum));
        return sum;
    }

    private OwnLadderRow mine(String id, Long version) {
        access.onlyTeachers();
        OwnLadderRow row = rows.findById(id).orElseThrow(NotFound::new);
        Stale.unless(row.version(), version);
        return row;
    }

    private Ladder checked(Map<String, Object> ladder) {
        try {
            return LadderFiles.checked(withoutKindsWords(LadderJson.asFile(ladder)), kit.kinds());
        } catch (Refused e) {
            throw new Refused(e.faults().stream().map(f -> f.under("ladder")).toList());
        }
    }

    /** Name and making of a stand-in are those of its kind; a screen has them only to show them. */
    private static Map<String, Object> withoutKindsWords(Map<String, Object> ladder) {
        Map<String, Object> copy = new HashMap<>(ladder);
        copy.computeIfPresent("kit", (field, roles) -> bare(roles));
        copy.computeIfPresent(
                "rungs",
                (field, rungs) -> each(
                        rungs,
                        rung -> rung.computeIfPresent("kit", (f, kit) -> {
                            if (!(kit instanceof Map<?, ?> own)) return kit;
                            Map<Object, Object> changed = new HashMap<>(own);
                            changed.computeIfPresent("more", (more, roles) -> bare(roles));
                            return changed;
                        })));
        return copy;
    }

    private static Object bare(Object roles) {
        return each(
                roles,
                role -> role.computeIfPresent(
                        "standIns",
                        (f, standIns) ->
                                each(standIns, standIn -> standIn.keySet().removeAll(KINDS_WORDS))));
    }

    private static Object each(Object list, Consumer<Map<Object, Object>> change) {
        if (!(list instanceof List<?> entries)) return list;
        return entries.stream()
                .map(entry -> {
                    if (!(entry instanceof Map<?, ?> map)) return entry;
                    Map<Object, Object> copy = new HashMap<>(map);
                    change.accept(copy);
                    return copy;
                })
                .toList();
    }

    private Own save(OwnLadderRow row) {
        OwnLadderRow saved = rows.saveAndFlush(row);
        changed(List.of(saved.id()));
        return view(saved);
    }

    private Own view(OwnLadderRow row) {
        return new Own(row.id(), row.version(), row.retired(), used(row.id()), ladder(row));
    }

    private Ladder ladder(OwnLadderRow row) {
        JsonNode tree = json.readTree(row.body());
        LadderJson.renew(tree);
        return json.treeToValue(tree, Ladder.class);
    }

    private String write(Ladder ladder) {
        return json.writeValueAsString(ladder);
    }

    /** A file of the ladders of these ids; of all of the school's own for none. */
    @Transactional(readOnly = true)
    Map<String, Object> file(List<String> ids) {
        return LadderWriter.file(these(ids), kit.ownKinds());
    }

    @Transactional(readOnly = true)
    String yaml(List<String> ids) {
        return LadderWriter.yaml(these(ids), kit.ownKinds());
    }

    private List<Ladder> these(List<String> ids) {
        Stream<Ladder> all = catalogue().known().stream();
        return ids == null || ids.isEmpty()
                ? all.filter(l -> shipped.ladder(l.id()).isEmpty()).toList()
                : all.filter(l -> ids.contains(l.id())).toList();
    }
}
