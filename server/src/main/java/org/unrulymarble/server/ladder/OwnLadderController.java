package org.unrulymarble.server.ladder;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.ladder.LadderFiles;
import tools.jackson.databind.json.JsonMapper;

/** The school's own ladders, and files of ladders in and out. */
@RestController
@RequestMapping("/api/ladders")
class OwnLadderController {

    private static final int MOST_TEXT = 2_000_000;

    private final LadderService ladders;
    private final JsonMapper json;

    OwnLadderController(LadderService ladders, JsonMapper json) {
        this.ladders = ladders;
        this.json = json;
    }

    /**
     * A ladder as it is written on screen: looked at whole, so that all that is wrong with it is said at once.
     *
     * @param version of the ladder that this was made from; null for a new one
     * @param ladder its fields, as {@code Ladder} and as files have them
     */
    record OwnLadderDoc(@Nullable Long version, Map<String, Object> ladder) {
        OwnLadderDoc {
            new Checks().required("ladder", ladder).done();
        }
    }

    record Retire(@Nullable Long version, Boolean retired) {
        Retire {
            new Checks().required("retired", retired).done();
        }
    }

    /**
     * A file that was chosen.
     *
     * @param dryRun only says what would be done
     */
    record LadderFileDoc(String name, String text, Boolean dryRun) {
        LadderFileDoc {
            new Checks()
                    .text("name", name, 200)
                    .text("text", text, MOST_TEXT)
                    .required("dryRun", dryRun)
                    .done();
        }
    }

    /** How a file is written. */
    enum Format {
        YAML,
        JSON
    }

    @GetMapping("/own")
    List<LadderService.Own> own() {
        return ladders.own();
    }

    @GetMapping("/own/{id}")
    LadderService.Own own(@PathVariable String id) {
        return ladders.own(id);
    }

    @PostMapping("/own")
    @ResponseStatus(HttpStatus.CREATED)
    LadderService.Own create(@RequestBody OwnLadderDoc doc) {
        return ladders.create(doc.ladder());
    }

    @PutMapping("/own/{id}")
    LadderService.Own change(@PathVariable String id, @RequestBody OwnLadderDoc doc) {
        return ladders.change(id, doc.version(), doc.ladder());
    }

    /** What is retired is not offered any more; plans and results that use it stay as they are. */
    @PutMapping("/own/{id}/retired")
    LadderService.Own retire(@PathVariable String id, @RequestBody Retire doc) {
        return ladders.retire(id, doc.version(), doc.retired());
    }

    @DeleteMapping("/own/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        ladders.remove(id);
    }

    @PostMapping("/import")
    List<LadderService.Taken> take(@RequestBody LadderFileDoc doc) {
        return ladders.take(doc.name(), doc.text(), doc.dryRun());
    }

    /** @param ids which; all of the school's own without any */
    @GetMapping("/export")
    ResponseEntity<String> export(@RequestParam(required = false) List<String> ids, @RequestParam Format format) {
        String text = format == Format.YAML
                ? ladders.yaml(ids)
                : json.writerWithDefaultPrettyPrinter().writeValueAsString(ladders.file(ids));
        String name = ids != null && ids.size() == 1 ? ids.get(0) : "ladders";
        return ResponseEntity.ok()
                .contentType(format == Format.YAML ? new MediaType("application", "yaml") : MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name + (format == Format.YAML ? ".yaml" : ".json"))
                                .build()
                                .toString())
                .body(text);
    }

    @GetMapping(path = "/schema", produces = "application/schema+json")
    String schema() {
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(LadderFiles.schema());
    }
}
