package org.unrulymarble.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.unrulymarble.core.check.Rounding;

/**
 * What goes into what, and how wide a gap a ball needs. Source: a ball drops in when the opening is half a centimetre wider than the ball; it is
 * led through a gap that is three times its width (ours).
 *
 * @param gapCm between two markers, for a ball that is led through
 * @param goesInto names of what it goes into, the tightest first
 * @param tooBigFor names of what it does not go into
 */
public record KitFits(String kind, String name, double gapCm, List<String> goesInto, List<String> tooBigFor) {

    private static final double PLAY_CM = 0.5;
    private static final double GAP_WIDTHS = 3;

    /** For every ball among these kinds, in their order. */
    public static List<KitFits> among(List<KitKind> kinds) {
        List<KitKind> openings = kinds.stream()
                .filter(k -> k.openingCm() != null)
                .sorted(Comparator.comparing(KitKind::openingCm))
                .toList();
        List<KitFits> fits = new ArrayList<>();
        for (KitKind ball : kinds) {
            if (ball.group() != KitKind.Group.BALL || ball.sizeCm() == null) continue;
            fits.add(new KitFits(
                    ball.id(),
                    ball.name(),
                    GAP_WIDTHS * ball.sizeCm(),
                    openings.stream()
                            .filter(o -> goes(ball, o))
                            .map(KitKind::name)
                            .toList(),
                    openings.stream()
                            .filter(o -> !goes(ball, o))
                            .map(KitKind::name)
                            .toList()));
        }
        return List.copyOf(fits);
    }

    /** Whether a ball goes through an opening; true where either size is not known. */
    public static boolean goes(KitKind ball, KitKind opening) {
        return ball.sizeCm() == null
                || opening.openingCm() == null
                || Rounding.fits(ball.sizeCm() + PLAY_CM, opening.openingCm());
    }
}
