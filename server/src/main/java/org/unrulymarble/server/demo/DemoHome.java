package org.unrulymarble.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;
import org.unrulymarble.core.home.HomePractice;
import org.unrulymarble.core.home.ReturnCode;
import org.unrulymarble.server.home.CameService;
import org.unrulymarble.server.home.CardsOut;
import org.unrulymarble.server.home.CardsOut.CardOut;
import org.unrulymarble.server.home.HomeMaking;
import org.unrulymarble.server.home.HomeViews;

/** Two weeks of practice at home: some of it came back and was kept; one code is late, one mistyped, one slip is of paper, and they wait with a few others. */
@Component
@Profile("demo")
class DemoHome {

    private static final int LONG_AGO_DAYS = 24;
    private static final int THIS_WEEK_DAYS = 3;
    private static final int PRACTICES = 3;
    private static final int MINUTES = 12;
    private static final int KEPT = 6;

    private final HomeMaking making;
    private final CameService came;
    private final CardsOut cards;

    DemoHome(HomeMaking making, CameService came, CardsOut cards) {
        this.making = making;
        this.came = came;
        this.cards = cards;
    }

    void fill(UUID classId, LocalDate today) {
        SplittableRandom random = new SplittableRandom(17);
        List<CardOut> before = week(classId, today.minusDays(LONG_AGO_DAYS));
        List<String> kept = new ArrayList<>();
        for (int i = 0; i < KEPT; i++)
            for (int practice = 1; practice <= before.get(i).practices().size(); practice += 2)
                kept.add(played(before.get(i), practice, random));
        List<UUID> ids = came.hear(classId, String.join("\n", kept), null).taken().stream()
                .map(HomeViews.CameBack::id)
                .collect(Collectors.toList());
        came.keep(classId, new CameService.Decided(ids));

        List<CardOut> now = week(classId, today.minusDays(THIS_WEEK_DAYS));
        came.hear(
                classId,
                String.join(
                        "\n",
                        played(before.get(KEPT), 2, random),
                        played(now.get(2), 1, random),
                        played(now.get(9), 1, random),
                        played(now.get(14), 2, random),
                        mistyped(played(now.get(5), 1, random))),
                null);
        CardOut paper = now.get(11);
        came.slips(classId, List.of(new CameService.Slip(paper.cardId(), 1, numbers(paper, 1, random), null)));
    }

    private List<CardOut> week(UUID classId, LocalDate firstDay) {
        return cards.outOfWeek(
                making.now(classId, new HomeMaking.WeekWanted(firstDay, PRACTICES, MINUTES, true, false, null, null)));
    }

    private static String played(CardOut card, int practice, SplittableRandom random) {
        ReturnCode.Felt felt = ReturnCode.Felt.values()[random.nextInt(ReturnCode.Felt.values().length)];
        return card.code(practice, numbers(card, practice, random), felt);
    }

    /** Two neighbours swapped, as it happens to whoever copies a code by hand. */
    private static String mistyped(String code) {
        for (int i = 2; ; i++) {
            char a = code.charAt(i);
            char b = code.charAt(i + 1);
            if (a != b && Character.isLetterOrDigit(a) && Character.isLetterOrDigit(b))
                return code.substring(0, i) + b + a + code.substring(i + 2);
        }
    }

    /** Between a tenth and a half of what a box can hold; now and then one is left out. */
    private static List<Integer> numbers(CardOut card, int practice, SplittableRandom random) {
        HomePractice what = card.practices().get(practice - 1);
        List<Integer> numbers = new ArrayList<>();
        for (int most : what.most())
            numbers.add(random.nextInt(8) == 0 ? null : (Integer) (int) (most * (0.1 + 0.4 * random.nextDouble())));
        return numbers;
    }
}
