package org.unrulymarble.server.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
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
                    adaptation(i)));
        }
        return pupils;
    }

    private static String adaptation(int i) {
        return switch (i) {
            case 5 -> "seated";
            case 11 -> "uses one hand";
            case 16 -> "low vision: bright ball, voice before each throw";
            default -> null;
        };
    }
}
