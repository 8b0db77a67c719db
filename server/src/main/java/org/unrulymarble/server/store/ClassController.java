package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;

@RestController
@RequestMapping("/api/classes")
class ClassController {

    private final ClassService classes;
    private final SchoolYear year;
    private final ClassCompany company;

    ClassController(ClassService classes, SchoolYear year, ClassCompany company) {
        this.company = company;
        this.classes = classes;
        this.year = year;
    }

    /** From now on the class is another teacher's, with all that belongs to it. */
    @PutMapping("/{id}/teacher")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void give(@PathVariable UUID id, @RequestBody SchoolYear.OtherTeacher other) {
        year.give(id, other);
    }

    @GetMapping
    List<ClassService.ClassView> all() {
        return classes.all();
    }

    /** Classes of colleagues, by name only: a pupil may be given to one. */
    @GetMapping("/elsewhere")
    List<SchoolYear.ClassElsewhere> elsewhere() {
        return year.elsewhere();
    }

    /** @param meanings of the columns as somebody said, or null: found out */
    record ListText(String text, @Nullable List<ClassList.Meaning> meanings) {
        ListText {
            new Checks().text("text", text, 60_000).done();
            if (meanings != null)
                new Checks().entries("meanings", meanings, 0, 40).done();
        }
    }

    /** What a pasted class list says of pupils; nothing is kept. */
    @PostMapping("/list")
    ClassList list(@RequestBody ListText list) {
        return ClassList.read(list.text(), list.meanings());
    }

    /** Who is better apart in groups and pairs, and who belongs together. */
    @GetMapping("/{id}/company")
    ClassCompany.CompanyDoc company(@PathVariable UUID id) {
        return company.see(id);
    }

    @PutMapping("/{id}/company")
    ClassCompany.CompanyDoc keepCompany(@PathVariable UUID id, @RequestBody ClassCompany.CompanyDoc doc) {
        return company.keep(id, doc);
    }

    @GetMapping("/{id}")
    ClassService.ClassView one(@PathVariable UUID id) {
        return classes.one(id);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ClassService.ClassView create(@RequestBody ClassService.ClassDoc doc) {
        return classes.create(doc);
    }

    /** Saves the class as it is given: pupils with a known id are changed, new ones added, those left out removed. */
    @PutMapping("/{id}")
    ClassService.ClassView change(@PathVariable UUID id, @RequestBody ClassService.ClassDoc doc) {
        return classes.change(id, doc);
    }
}
