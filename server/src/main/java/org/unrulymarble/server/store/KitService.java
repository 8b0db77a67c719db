package org.unrulymarble.server.store;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.kit.Cupboard;
import org.unrulymarble.core.kit.Kit;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;

/** The kit of the school, as the core counts with it. */
@Service
@Transactional
public class KitService {

    private final KitItems items;
    private final StandIns standIns;
    private final KitKinds kinds;

    KitService(KitItems items, StandIns standIns, KitKinds kinds) {
        this.items = items;
        this.standIns = standIns;
        this.kinds = kinds;
    }

    @Transactional(readOnly = true)
    public Kit kit() {
        return new Kit(
                kinds,
                items.findAll().stream().map(KitItemRow::held).toList(),
                standIns.findAll().stream().map(StandInRow::rule).toList());
    }

    /** All kinds that are known: the shipped ones with this school's changes, then its own. */
    @Transactional(readOnly = true)
    public KitKinds kinds() {
        // A kind that the school has changed keeps its place.
        Map<String, KitKind> all = new LinkedHashMap<>();
        kinds.all().forEach(k -> all.put(k.id(), k));
        items.findAllByOrderByName()
                .forEach(i -> all.put(i.held().kind().id(), i.held().kind()));
        return new KitKinds(all.values());
    }

    /** Kinds that this school has added. */
    @Transactional(readOnly = true)
    public List<KitKind> ownKinds() {
        return kinds().all().stream().filter(k -> kinds.kind(k.id()).isEmpty()).toList();
    }

    /** Adds kinds that are not known here, none of them counted yet. */
    public void learn(List<KitKind> brought) {
        KitKinds known = kinds();
        put(brought.stream()
                .filter(k -> known.kind(k.id()).isEmpty())
                .map(k -> new Kit.Held(k, 0, Kit.Condition.GOOD))
                .toList());
    }

    public void put(List<Kit.Held> held) {
        items.saveAll(
                held.stream().map(h -> new KitItemRow(UUID.randomUUID(), h)).toList());
    }

    /**
     * Puts in what is not there yet; what is there keeps its count.
     *
     * @return what was put in
     */
    List<KitItemRow> fill(List<Cupboard.Counted> counted) {
        KitKinds known = kinds();
        Set<String> there =
                items.findAll().stream().map(i -> i.held().kind().id()).collect(Collectors.toSet());
        return items.saveAllAndFlush(counted.stream()
                .filter(c -> there.add(c.kind()))
                .map(c -> new Kit.Held(
                        known.kind(c.kind())
                                .filter(k -> k.never() == null)
                                .orElseThrow(() -> new Refused("kit", Fault.Rule.UNKNOWN, c.kind())),
                        c.count(),
                        Kit.Condition.GOOD))
                .map(h -> new KitItemRow(UUID.randomUUID(), h))
                .toList());
    }

    @Configuration
    static class Shipped {
        @Bean
        KitKinds kitKinds() {
            return KitKinds.shipped();
        }
    }
}
