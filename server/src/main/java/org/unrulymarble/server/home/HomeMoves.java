package org.unrulymarble.server.home;

import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.platform.Moved;

/** Cards are of a class's week: whoever changes class gets new ones, and codes of the old ones say that they are withdrawn. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class HomeMoves implements Moved {

    private final HomeCards cards;
    private final Clock clock;

    HomeMoves(HomeCards cards, Clock clock) {
        this.cards = cards;
        this.clock = clock;
    }

    @Override
    public void move(UUID pupilId, UUID fromClassId, UUID toClassId) {
        cards.findByPupilIdOrderByCardNumber(pupilId).forEach(card -> card.withdraw(clock.instant()));
    }
}
