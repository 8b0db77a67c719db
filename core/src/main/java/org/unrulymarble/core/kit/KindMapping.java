package org.unrulymarble.core.kit;

import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;

/** A kind of kit as files have it. */
final class KindMapping extends Mapping<KitKind> {

    private final Entry<KitKind, String> id = text("id", KitKind::id).upTo(60).must();
    private final Entry<KitKind, String> name =
            text("name", KitKind::name).upTo(60).must();
    private final Entry<KitKind, KitKind.Group> group =
            word("group", KitKind.Group.class, KitKind::group).must();
    private final Entry<KitKind, Double> sizeCm =
            number("sizeCm", KitKind::sizeCm).range(0.1, 500);
    private final Entry<KitKind, Double> openingCm =
            number("openingCm", KitKind::openingCm).range(0.1, 500);
    private final Entry<KitKind, Double> massG = number("massG", KitKind::massG).range(0, 20_000);
    private final Entry<KitKind, Boolean> bounces = bool("bounces", KitKind::bounces);
    private final Entry<KitKind, Boolean> soft = bool("soft", KitKind::soft);
    private final Entry<KitKind, Boolean> rolls = bool("rolls", KitKind::rolls);
    private final Entry<KitKind, Boolean> grips = bool("grips", KitKind::grips);
    private final Entry<KitKind, Boolean> bright = bool("bright", KitKind::bright);
    private final Entry<KitKind, Boolean> hard = bool("hard", KitKind::hard);
    private final Entry<KitKind, String> make = text("make", KitKind::make).limit("maxLength", 200);
    private final Entry<KitKind, Integer> makeMin =
            whole("makeMin", KitKind::makeMin).range(0, 120);
    private final Entry<KitKind, String> never = text("never", KitKind::never).limit("maxLength", 120);

    KindMapping() {
        super("kind", "A kind of kit that a school has added.");
    }

    @Override
    protected KitKind from(Fields f) {
        return new KitKind(
                id.of(f),
                name.of(f),
                group.of(f),
                sizeCm.of(f),
                openingCm.of(f),
                massG.of(f),
                bounces.of(f),
                soft.of(f),
                rolls.of(f),
                grips.of(f),
                bright.of(f),
                hard.of(f),
                make.of(f),
                makeMin.of(f),
                never.of(f));
    }
}
