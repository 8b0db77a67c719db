package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitFits;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;

/** What the school has, what it knows of each kind, and what may stand in for what. */
@RestController
@RequestMapping("/api/kit")
@Transactional
class KitController {

    private final KitItems items;
    private final StandIns standIns;
    private final KitKinds kinds;
    private final KitService service;
    private final ClassAccess access;

    KitController(KitItems items, StandIns standIns, KitKinds kinds, KitService service, ClassAccess access) {
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

    record ItemView(UUID id, long version, KitKind kind, Integer count, Kit.Condition condition) {}

    record RuleView(UUID id, long version, Kit.Rule rule) {}

    /**
     * @param version of the item that this was made from; null for a new one
     * @param count how many, or null for as many as are asked
     */
    record ItemDoc(Long version, KitKind kind, Integer count, Kit.Condition condition) {
        ItemDoc {
            new Checks().required("kind", kind).required("condition", condition).done();
            if (count != null) new Checks().range("count", count, 0, 10_000).done();
        }

        Kit.Held held() {
            return new Kit.Held(kind, count, condition);
        }
    }

    /** @param version of the rule that this was made from; null for a new one */
    record RuleDoc(Long version, Kit.Rule rule) {
        RuleDoc {
            new Checks().required("rule", rule).done();
        }
    }

    @GetMapping
    StoreView all() {
        List<ItemView> views =
                items.findAllByOrderByName().stream().map(KitController::view).toList();
        return new StoreView(
                views,
                standIns.findAll().stream().map(KitController::view).toList(),
                service.kinds().all(),
                KitFits.among(views.stream()
                        .map(ItemView::kind)
                        .flatMap(k -> Stream.of(k))
                        .distinct()
                        .toList()));
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ItemView create(@RequestBody ItemDoc doc) {
        access.onlyTeachers();
        return view(items.saveAndFlush(new KitItemRow(UUID.randomUUID(), usable(doc))));
    }

    @PutMapping("/{id}")
    ItemView change(@PathVariable UUID id, @RequestBody ItemDoc doc) {
        access.onlyTeachers();
        KitItemRow known = items.findById(id).orElseThrow(NotFound::new);
        Stale.unless(known.version(), doc.version());
        known.change(usable(doc));
        return view(items.saveAndFlush(known));
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        access.onlyTeachers();
        items.delete(items.findById(id).orElseThrow(NotFound::new));
    }

    @PostMapping("/rules")
    @ResponseStatus(HttpStatus.CREATED)
    RuleView createRule(@RequestBody RuleDoc doc) {
        access.onlyTeachers();
        known(doc.rule());
        return view(standIns.saveAndFlush(new StandInRow(UUID.randomUUID(), doc.rule())));
    }

    @PutMapping("/rules/{id}")
    RuleView changeRule(@PathVariable UUID id, @RequestBody RuleDoc doc) {
        access.onlyTeachers();
        known(doc.rule());
        StandInRow row = standIns.findById(id).orElseThrow(NotFound::new);
        Stale.unless(row.version(), doc.version());
        row.change(doc.rule());
        return view(standIns.saveAndFlush(row));
    }

    @DeleteMapping("/rules/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeRule(@PathVariable UUID id) {
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
