package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the school has, what it knows of each kind, and what may stand in for what. */
@RestController
@RequestMapping("/api/kit")
class KitController {

    private final KitStore store;

    KitController(KitStore store) {
        this.store = store;
    }

    @GetMapping
    KitStore.StoreView all() {
        return store.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    KitStore.ItemView create(@RequestBody KitStore.ItemDoc doc) {
        return store.create(doc);
    }

    /** @param cupboard one of the usual ones, as the beginning names them */
    @PostMapping("/from/{cupboard}")
    @ResponseStatus(HttpStatus.CREATED)
    List<KitStore.ItemView> startFrom(@PathVariable String cupboard) {
        return store.startFrom(cupboard);
    }

    @PutMapping("/{id}")
    KitStore.ItemView change(@PathVariable UUID id, @RequestBody KitStore.ItemDoc doc) {
        return store.change(id, doc);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        store.remove(id);
    }

    @PostMapping("/rules")
    @ResponseStatus(HttpStatus.CREATED)
    KitStore.RuleView createRule(@RequestBody KitStore.RuleDoc doc) {
        return store.createRule(doc);
    }

    @PutMapping("/rules/{id}")
    KitStore.RuleView changeRule(@PathVariable UUID id, @RequestBody KitStore.RuleDoc doc) {
        return store.changeRule(id, doc);
    }

    @DeleteMapping("/rules/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeRule(@PathVariable UUID id) {
        store.removeRule(id);
    }
}
