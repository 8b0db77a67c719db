package org.unrulymarble.server.export;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.Exported;
import org.unrulymarble.server.platform.ExportedTable;
import org.unrulymarble.server.platform.FileAnswer;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.ClassAccess.Known;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.json.JsonMapper;

/** The teacher's classes with all that belongs to them, and the school's rooms, kit and ladders; written as it is read, so that no more is held than a few rows. */
@RestController
@RequestMapping("/api")
class ExportController {

    private static final String FORMAT = "unruly-marble";
    private static final int VERSION = 1;

    private final List<Exported> rooms;
    private final List<ExportedTable> tables;
    private final ClassAccess access;
    private final JsonMapper json;
    private final Clock clock;
    private final Audit audit;

    ExportController(
            List<Exported> rooms,
            List<ExportedTable> tables,
            ClassAccess access,
            JsonMapper json,
            Clock clock,
            Audit audit) {
        this.audit = audit;
        this.rooms = rooms;
        this.tables = tables;
        this.access = access;
        this.json = json;
        this.clock = clock;
    }

    @GetMapping("/export.json")
    void everything(HttpServletResponse response) throws IOException {
        access.onlyTeachers();
        List<Known> classes = access.known();
        note(Audit.Kind.ALL_EXPORTED, null);
        FileAnswer.begin(response, "everything " + LocalDate.now(clock) + ".json", "application/json");
        try (JsonGenerator to = begin(response)) {
            parts(to, "school", (room, each) -> room.ofSchool(each));
            to.writeName("classes");
            to.writeStartArray();
            for (Known c : classes) {
                to.writeStartObject();
                to.writeStringProperty("name", c.name());
                inside(to, (room, each) -> room.ofClass(c.classId(), each));
                to.writeEndObject();
            }
            to.writeEndArray();
            to.writeEndObject();
        }
    }

    /** A folder for each class with its tables. */
    @GetMapping("/export.zip")
    void tables(HttpServletResponse response) throws IOException {
        access.onlyTeachers();
        List<Known> classes = access.known();
        note(Audit.Kind.ALL_EXPORTED, null);
        FileAnswer.begin(response, "everything " + LocalDate.now(clock) + ".zip", "application/zip");
        try (ZipOutputStream zip = new ZipOutputStream(response.getOutputStream(), StandardCharsets.UTF_8)) {
            int number = 0;
            for (Known c : classes) {
                // A number before it: two classes may have one name.
                String folder = ++number + " " + c.name().replaceAll("[^\\p{L}\\p{N} -]", "_");
                for (ExportedTable table : tables) {
                    zip.putNextEntry(new ZipEntry(folder + "/" + table.fileName()));
                    Writer to = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
                    table.write(c.classId(), null, to);
                    to.flush();
                    zip.closeEntry();
                }
            }
        }
    }

    /** All that is kept of one pupil. */
    @GetMapping("/pupils/{id}/export.json")
    void ofPupil(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        access.teach(access.classOf(id));
        note(Audit.Kind.PUPIL_EXPORTED, id);
        FileAnswer.begin(response, "pupil " + LocalDate.now(clock) + ".json", "application/json");
        try (JsonGenerator to = begin(response)) {
            parts(to, "pupil", (room, each) -> room.ofPupil(id, each));
            to.writeEndObject();
        }
    }

    @GetMapping("/pupils/{id}/results.csv")
    void resultsOfPupil(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        UUID classId = access.teach(access.classOf(id)).id();
        note(Audit.Kind.PUPIL_EXPORTED, id);
        FileAnswer.begin(response, "results.csv");
        for (ExportedTable table : tables)
            if (table.fileName().equals("results.csv")) table.write(classId, id, response.getWriter());
    }

    private void note(Audit.Kind kind, UUID about) {
        audit.note(SignedIn.now().accountId(), kind, about);
    }

    private JsonGenerator begin(HttpServletResponse response) throws IOException {
        JsonGenerator to = json.rebuild()
                .disable(StreamWriteFeature.FLUSH_PASSED_TO_STREAM)
                .build()
                .createGenerator(response.getOutputStream());
        to.writeStartObject();
        to.writeStringProperty("format", FORMAT);
        to.writeNumberProperty("version", VERSION);
        to.writeStringProperty("made", LocalDate.now(clock).toString());
        return to;
    }

    private void parts(JsonGenerator to, String name, BiConsumer<Exported, Consumer<Object>> tell) {
        to.writeName(name);
        to.writeStartObject();
        inside(to, tell);
        to.writeEndObject();
    }

    /** Each room's rows under its name; a room that has none of these is left out. */
    private void inside(JsonGenerator to, BiConsumer<Exported, Consumer<Object>> tell) {
        for (Exported room : rooms) {
            boolean[] begun = {false};
            tell.accept(room, row -> {
                if (!begun[0]) {
                    to.writeName(room.name());
                    to.writeStartArray();
                    begun[0] = true;
                }
                to.writePOJO(row);
            });
            if (begun[0]) to.writeEndArray();
        }
    }
}
