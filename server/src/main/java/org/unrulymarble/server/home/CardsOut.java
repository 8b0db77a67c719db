package org.unrulymarble.server.home;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.home.ReturnCode;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;
import org.unrulymarble.server.store.PupilDetails;
import org.unrulymarble.server.store.SchoolClass;
import tools.jackson.databind.json.JsonMapper;

/** Cards as they go out, and taken back; only by the class's teacher. */
@Service
@Transactional
public class CardsOut {

    private final HomeWeeks weeks;
    private final HomeCards cards;
    private final ClassAccess access;
    private final Clock clock;
    private final JsonMapper json;

    CardsOut(HomeWeeks weeks, HomeCards cards, ClassAccess access, Clock clock, JsonMapper json) {
        this.weeks = weeks;
        this.cards = cards;
        this.access = access;
        this.clock = clock;
        this.json = json;
    }

    /** Its codes are not taken any more. */
    void withdraw(UUID cardId) {
        card(cardId).withdraw(clock.instant());
    }

    /** @throws NotFound for a card of a class that the asker does not teach */
    HomeCardRow card(UUID cardId) {
        HomeCardRow card =
                cards.findById(cardId == null ? new UUID(0, 0) : cardId).orElseThrow(NotFound::new);
        access.teach(weeks.findById(card.weekId()).orElseThrow(NotFound::new).classId());
        return card;
    }

    /** All that paper, page and calendar of a card are made from. */
    public record CardOut(HomeCardRow card, HomeWeekRow week, CardBody body, Pupil pupil, String className) {
        String firstName() {
            return pupil.details().firstName();
        }

        /** Whether kit and room of the home that this card is for are known. */
        boolean homeKnown() {
            PupilDetails d = pupil.details();
            if (card.home() == 1) return !d.homeKit().isEmpty() && d.homeSpace() != null;
            return d.otherHome() != null
                    && !d.otherHome().kit().isEmpty()
                    && d.otherHome().space() != null;
        }

        public UUID pupilId() {
            return card.pupilId();
        }

        public UUID cardId() {
            return card.id();
        }

        public List<HomePractice> practices() {
            return body.practices();
        }

        /** The code that the card's page would show. */
        public String code(int practice, List<Integer> numbers, ReturnCode.Felt felt) {
            return new ReturnCode(card.number(), practice, numbers, felt)
                    .code(card.key(), body.practice(practice).most());
        }
    }

    @Transactional(readOnly = true)
    public CardOut out(UUID cardId) {
        HomeCardRow card = card(cardId);
        HomeWeekRow week = weeks.findById(card.weekId()).orElseThrow(NotFound::new);
        return out(card, week, access.teach(week.classId()));
    }

    /** For whoever has a card's address, signed in or not. */
    CardOut behindLink(HomeCardRow card) {
        HomeWeekRow week = weeks.findById(card.weekId()).orElseThrow(NotFound::new);
        Pupil pupil = cards.pupil(card.pupilId());
        return new CardOut(card, week, card.read(json), pupil, "");
    }

    /** Those of a week that were not withdrawn, in the class's order. */
    @Transactional(readOnly = true)
    public List<CardOut> outOfWeek(UUID weekId) {
        HomeWeekRow week = weeks.findById(weekId).orElseThrow(NotFound::new);
        SchoolClass c = access.teach(week.classId());
        return cards.findByWeekIdInOrderByCardNumber(List.of(weekId)).stream()
                .filter(card -> !card.withdrawn() && isIn(c.pupils(), card))
                .map(card -> out(card, week, c))
                .toList();
    }

    private static boolean isIn(List<Pupil> pupils, HomeCardRow card) {
        return pupils.stream().anyMatch(p -> p.id().equals(card.pupilId()));
    }

    private CardOut out(HomeCardRow card, HomeWeekRow week, SchoolClass c) {
        Pupil pupil = c.everybody().stream()
                .filter(p -> p.id().equals(card.pupilId()))
                .findFirst()
                .orElseThrow(NotFound::new);
        pupil.details();
        return new CardOut(card, week, card.read(json), pupil, c.name());
    }
}
