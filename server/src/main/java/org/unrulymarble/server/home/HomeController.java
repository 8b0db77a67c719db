package org.unrulymarble.server.home;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.FileAnswer;

/** Practice at home, for a class's teacher. */
@RestController
@RequestMapping("/api")
class HomeController {

    /** A card that a teacher looks at plays as it will at home, and reaches nothing of this server. */
    private static final String LOOKED_AT = "sandbox allow-scripts allow-modals; " + CardPages.POLICY;

    private final HomeViews views;
    private final CameService came;
    private final CardsOut cards;
    private final HomeMaking making;
    private final CardPages pages;
    private final HomeLinks links;
    private final Audit audit;

    HomeController(
            HomeViews views,
            CameService came,
            CardsOut cards,
            HomeMaking making,
            CardPages pages,
            HomeLinks links,
            Audit audit) {
        this.links = links;
        this.views = views;
        this.came = came;
        this.cards = cards;
        this.making = making;
        this.pages = pages;
        this.audit = audit;
    }

    @GetMapping("/classes/{id}/home")
    HomeViews.HomeView of(@PathVariable UUID id) {
        return views.of(id);
    }

    /** Whether cards can be behind addresses here. */
    record HomeByLink(boolean possible) {}

    @GetMapping("/classes/{id}/home/by-link")
    HomeByLink byLink(@PathVariable UUID id) {
        views.waiting(id);
        return new HomeByLink(links.possible());
    }

    /** What Today says of it. */
    @GetMapping("/classes/{id}/home/waiting")
    HomeViews.HomeWaiting waiting(@PathVariable UUID id) {
        return views.waiting(id);
    }

    /** Begins a week; its cards come one after the other, and the view says how far. */
    @PostMapping("/classes/{id}/home/weeks")
    @ResponseStatus(HttpStatus.CREATED)
    HomeViews.HomeView begin(@PathVariable UUID id, @RequestBody HomeMaking.WeekWanted wanted) {
        making.begin(id, wanted);
        return views.of(id);
    }

    /** Makes the cards that are missing of a week that was broken off. */
    @PostMapping("/home/weeks/{id}/cards")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void goOn(@PathVariable UUID id) {
        making.goOn(id);
    }

    @PostMapping("/home/cards/{id}/withdrawn")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@PathVariable UUID id) {
        cards.withdraw(id);
    }

    /** Makes a card anew without some of its tasks. */
    @PostMapping("/home/cards/{id}/remade")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remake(@PathVariable UUID id, @RequestBody HomeMaking.CardWithout wanted) {
        making.remake(id, wanted);
    }

    /** Codes as they were pasted, typed or photographed. @param mended the line that could not be read before, or null */
    record Pasted(String text, @Nullable UUID mended) {}

    @PostMapping("/classes/{id}/home/came")
    CameService.Heard hear(@PathVariable UUID id, @RequestBody Pasted pasted) {
        return came.hear(id, pasted.text(), pasted.mended());
    }

    /** A code that nobody can put right is dropped. */
    @DeleteMapping("/classes/{id}/home/unread/{unreadId}")
    HomeViews.HomeView drop(@PathVariable UUID id, @PathVariable UUID unreadId) {
        came.drop(id, unreadId);
        return views.of(id);
    }

    record Slips(List<CameService.Slip> slips) {}

    /** Numbers from paper. */
    @PostMapping("/classes/{id}/home/slips")
    CameService.Heard slips(@PathVariable UUID id, @RequestBody Slips slips) {
        return came.slips(id, slips.slips());
    }

    @PostMapping("/classes/{id}/home/kept")
    HomeViews.HomeView keep(@PathVariable UUID id, @RequestBody CameService.Decided decided) {
        return came.keep(id, decided);
    }

    @PostMapping("/classes/{id}/home/aside")
    HomeViews.HomeView putAside(@PathVariable UUID id, @RequestBody CameService.Decided decided) {
        return came.putAside(id, decided);
    }

    /** Addresses for families, where the school has one of its own on the internet. */
    @PostMapping("/home/weeks/{id}/links")
    List<HomeLinks.HomeLink> links(@PathVariable UUID id) {
        List<HomeLinks.HomeLink> made = links.ofWeek(id);
        note(Audit.Kind.CLASS_EXPORTED, id);
        return made;
    }

    /** A card as one file. @param look true to look at it here instead of keeping it */
    @GetMapping("/home/cards/{id}/page")
    void page(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean look, HttpServletResponse response)
            throws IOException {
        CardsOut.CardOut out = cards.out(id);
        if (look) {
            response.setContentType("text/html; charset=UTF-8");
            response.setHeader("Content-Security-Policy", LOOKED_AT);
        } else {
            note(Audit.Kind.PUPIL_EXPORTED, out.card().pupilId());
            FileAnswer.begin(response, fileName(out), "text/html; charset=UTF-8");
        }
        response.getWriter().write(pages.page(out));
    }

    /** All cards of a week as files. */
    @GetMapping("/home/weeks/{id}/pages.zip")
    void allPages(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        List<CardsOut.CardOut> all = cards.outOfWeek(id);
        note(Audit.Kind.CLASS_EXPORTED, id);
        FileAnswer.begin(response, "home practice.zip", "application/zip");
        try (ZipOutputStream zip = new ZipOutputStream(response.getOutputStream(), StandardCharsets.UTF_8)) {
            for (CardsOut.CardOut card : all) {
                zip.putNextEntry(new ZipEntry(fileName(card)));
                zip.write(pages.page(card).getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
    }

    /** All cards of a week on paper, one side for each practice. */
    @GetMapping("/home/weeks/{id}/cards.pdf")
    void paper(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "A4") CardPages.Paper paper,
            HttpServletResponse response)
            throws IOException {
        List<CardsOut.CardOut> all = cards.outOfWeek(id);
        note(Audit.Kind.CLASS_EXPORTED, id);
        FileAnswer.begin(response, "home practice.pdf", "application/pdf");
        pages.paper(all, paper, "Practice at home", response.getOutputStream());
    }

    @GetMapping("/home/cards/{id}/card.pdf")
    void paperOfOne(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "A4") CardPages.Paper paper,
            HttpServletResponse response)
            throws IOException {
        CardsOut.CardOut out = cards.out(id);
        note(Audit.Kind.PUPIL_EXPORTED, out.card().pupilId());
        FileAnswer.begin(response, fileName(out).replace(".html", ".pdf"), "application/pdf");
        pages.paper(List.of(out), paper, "Practice at home", response.getOutputStream());
    }

    @GetMapping("/home/cards/{id}/week.ics")
    void calendar(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        CardsOut.CardOut out = cards.out(id);
        note(Audit.Kind.PUPIL_EXPORTED, out.card().pupilId());
        FileAnswer.begin(response, fileName(out).replace(".html", ".ics"), "text/calendar; charset=UTF-8");
        Writer to = response.getWriter();
        CardCalendar.write(out, to);
    }

    /** The card's number goes with the name: two pupils may have one. */
    private static String fileName(CardsOut.CardOut out) {
        return "practice " + out.pupil().name().replaceAll("[^\\p{L}\\p{N} -]", "") + " "
                + out.card().number() + ".html";
    }

    private void note(Audit.Kind kind, UUID about) {
        audit.note(SignedIn.now().accountId(), kind, about);
    }
}
