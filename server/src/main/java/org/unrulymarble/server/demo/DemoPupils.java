package org.unrulymarble.server.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.place.Wall;
import org.unrulymarble.core.plan.Adaptation;
import org.unrulymarble.server.store.PupilDetails;

/** Invented pupils: a first name and an initial each. */
final class DemoPupils {

    static final String[] TURNSTONE = {
        "Amaru T", "Beatrix O", "Cosmo V", "Delphine A", "Eitan R", "Fenna W", "Goran P", "Hoku N",
        "Ilse B", "Jabari M", "Kirra S", "Lorcan D", "Mireille F", "Nils G", "Odalys C", "Perrin H",
        "Quilla J", "Rasmus K", "Sunniva L", "Tavi E", "Ulises Q", "Veda Z", "Wren I", "Yoshi U"
    };
    static final String[] DUNLIN = {
        "Anouk D", "Bram T", "Ciel R", "Dario S", "Elowen P", "Faisal K", "Gwenna L", "Hamza V", "Ines W",
        "Joss A", "Kaia B", "Leopold C", "Maren E", "Noor F", "Otis G", "Pia H", "Roan J", "Saskia M"
    };
    static final String[] SANDERLING = {
        "Alba V", "Benno W", "Carys Z", "Dmitri A", "Esme B", "Fintan C", "Greta D", "Hugo E", "Imani F",
        "Jonas G", "Keziah H", "Linus I", "Maeve J", "Nadir K", "Orla L", "Pavel M", "Quentin N", "Rhea O",
        "Silas P", "Tamsin Q", "Umar R", "Vivi S", "Wim T", "Xanthe U", "Yara V", "Zeno W", "Ayla X"
    };

    private DemoPupils() {}

    /** @param age the older of the two ages in the class */
    static List<PupilDetails> details(String[] names, int thisYear, int age, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<PupilDetails> pupils = new ArrayList<>();
        for (int i = 0; i < names.length; i++) {
            String[] parts = names[i].split(" ");
            int years = age - random.nextInt(2);
            boolean left = random.nextInt(8) == 0;
            pupils.add(new PupilDetails(
                    parts[0],
                    parts[1],
                    thisYear - years,
                    left ? PupilDetails.Hand.LEFT : PupilDetails.Hand.RIGHT,
                    20 + (years - 9) + random.nextInt(4),
                    160 + 6 * (years - 9) + random.nextInt(20),
                    adaptations(i),
                    i == 16 ? "voice before each throw" : null,
                    homeKit(random),
                    random.nextInt(3) == 0 ? new Space(2.0 + random.nextInt(6) / 4.0, 2.2, 2.4, null) : null,
                    null,
                    // One lives in two homes; the other has a yard in front of a garage wall.
                    i == 3
                            ? new PupilDetails.OtherHome(
                                    Map.of("tennis-ball", 2), new Space(4.0, 3.0, null, new Wall(3.0, 4.0)), false)
                            : null));
        }
        return pupils;
    }

    private static List<Adaptation> adaptations(int i) {
        return switch (i) {
            case 5 -> List.of(Adaptation.SEATED);
            case 11 -> List.of(Adaptation.ONE_HAND);
            case 16 -> List.of(Adaptation.SEES_LITTLE);
            default -> List.of();
        };
    }

    private static Map<String, Integer> homeKit(SplittableRandom random) {
        Map<String, Integer> kit = new TreeMap<>();
        if (random.nextInt(2) == 0) kit.put("tennis-ball", 1 + random.nextInt(2));
        if (random.nextInt(4) == 0) kit.put("small-football", 1);
        if (random.nextInt(3) == 0) kit.put("paper-cup", 2);
        return kit;
    }
}
