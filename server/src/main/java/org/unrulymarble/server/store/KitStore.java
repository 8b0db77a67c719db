package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.kit.Cupboard;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitFits;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;

/** What the school has, what it knows of each kind, and what may stand in for what. */
@Service
@Transactional
class KitStore {

    private final KitItems items;
    private final StandIns standIns;
    private final KitKinds kinds;
    private final KitService service;
    private final ClassAccess access;

    KitStore(KitItems items, StandIns standIns, KitKinds kinds, KitService service, ClassAccess access) {
        this.service = service;
        this.items = items;
        this.standIns = standIns;
        this.kinds = kinds;
        this.access = access;
    }

    /**
     * @param kinds all that are known: the shipped ones with this school's changes, then its own
     * @param fits what goes into what, among what there is
     */
    record StoreView(List<ItemView> items, List<RuleView> rules, List<KitKind> kinds, List<KitFits> fits) {}

    record ItemView(
            UUID id, long version, KitKind kind, @Nullable Integer count, Kit.Condition condition) {}

    record RuleView(UUID id, long version, Kit.Rule rule) {}

    /**
     * @param version of the item that this was made from; null for a new one
     * @param count how many, or null for as many as are asked
     */
    record ItemDoc(
            @Nullable Long version, KitKind kind, @Nullable Integer count, Kit.Condition condition) {
        ItemDoc {
            new Checks().required("kind", kind).required("condition", condition).done();
            if (count != null) new Checks().range("count", count, 0, 10_000).done();
        }

        Kit.Held held() {
            return new Kit.Held(kind, count, condition);
        }
    }

    /** @param version of the rule that this was made from; null for a new one */
    record RuleDoc(@Nullable Long version, Kit.Rule rule) {
        RuleDoc {
            new Checks().required("rule", rule).done();
        }
    }

    StoreView all() {
        List<ItemView> views =
                items.findAllByOrderByName().stream().map(KitStore::view).toList();
        return new StoreView(
                views,
                standIns.findAll().stream().map(KitStore::view).toList(),
                service.kinds().all(),
                KitFits.among(views.stream()
                        .map(ItemView::kind)
                        .flatMap(k -> Stream.of(k))
                        .distinct()
                        .toList()));
    }

    ItemView create(ItemDoc doc) {
        access.onlyTeachers();
        return view(items.saveAndFlush(new KitItemRow(UUID.randomUUID(), usable(doc))));
    }

    /** Puts in what a usual cupboard has and this one lacks; answers what was put in. */
    List<ItemView> startFrom(String cupboard) {
        access.onlyTeachers();
        Cupboard usual = Cupboard.usual().stream()
                .filter(c -> c.id().equals(cupboard))
                .findFirst()
                .orElseThrow(NotFound::new);
        return service.fill(usual.kit()).stream().map(KitStore::view).toList();
    }

    ItemView change(UUID id, ItemDoc doc) {
        access.onlyTeachers();
        KitItemRow known = items.findById(id).orElseThrow(NotFound::new);
        Stale.unless(known.version(), doc.version());
        known.change(usable(doc));
        return view(items.saveAndFlush(known));
    }

    void remove(UUID id) {
        access.onlyTeachers();
        items.delete(items.findById(id).orElseThrow(NotFound::new));
    }

    RuleView createRule(RuleDoc doc) {
        access.onlyTeachers();
        known(doc.rule());
        return view(standIns.saveAndFlush(new StandInRow(UUID.randomUUID(), doc.rule())));
    }

    RuleView changeRule(UUID id, RuleDoc doc) {
        access.onlyTeachers();
        known(doc.rule());
        StandInRow row = standIns.findById(id).orElseThrow(NotFound::new);
        Stale.unless(row.version(), doc.version());
        row.change(doc.rule());
        return view(standIns.saveAndFlush(row));
    }

    void removeRule(UUID id) {
        access.onlyTeachers();
        standIns.delete(standIns.findById(id).orElseThrow(NotFound::new));
    }

    /** What is refused everywhere has no place in the store. */
    private Kit.Held usable(ItemDoc doc) {
        String id = doc.kind().id();
        if (kinds.kind(id).filter(k -> k.never() != null).isPresent())
            throw new Refused("kind.id", Fault.Rule.UNKNOWN, id);
        return doc.held();
    }

    private void known(Kit.Rule rule) {
        List<String> ids = Stream.concat(
                        kinds.all().stream().filter(k -> k.never() == null).map(KitKind::id),
                        items.findAll().stream().map(i -> i.held().kind().id()))
                .toList();
        new Checks()
                .that(ids.contains(rule.of()), "rule.of", Fault.Rule.UNKNOWN, rule.of())
                .that(ids.contains(rule.by()), "rule.by", Fault.Rule.UNKNOWN, rule.by())
                .done();
    }

    private static ItemView view(KitItemRow row) {
        Kit.Held held = row.held();
        return new ItemView(row.id(), row.version(), held.kind(), held.count(), held.condition());
    }

    private static RuleView view(StandInRow row) {
        return new RuleView(row.id(), row.version(), row.rule());
    }
}
