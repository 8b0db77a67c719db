package org.unrulymarble.core.kit;

import java.util.EnumSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * A kind of kit with the properties that decide what may be asked of it.
 *
 * @param sizeCm across, 0.1 to 500, or null where size says nothing
 * @param openingCm what goes through or in, 0.1 to 500, or null for what has no opening
 * @param massG 0 to 20,000, or null
 * @param hard hurts when it hits somebody
 * @param make how to make it ready at home, or null where it cannot be made
 * @param makeMin whole minutes that takes, 0 to 120
 * @param never why it is never used at all, or null
 */
public record KitKind(
        String id,
        String name,
        Group group,
        @Nullable Double sizeCm,
        @Nullable Double openingCm,
        @Nullable Double massG,
        Boolean bounces,
        Boolean soft,
        Boolean rolls,
        Boolean grips,
        Boolean bright,
        Boolean hard,
        @Nullable String make,
        Integer makeMin,
        @Nullable String never) {

    /** What is counted, and what is said of it: the plural is the first word's. */
    private static final Pattern HEAD =
            Pattern.compile("(.*?)( (?:of|on|with|without|as|cut|over|under|from|to|in|at|for) .*)?");

    /** What part a thing plays. */
    public enum Group {
        BALL,
        STICK,
        CATCHER,
        TARGET,
        MARKER,
        MARK,
        COVER,
        GEAR,
        OTHER
    }

    public KitKind {
        bounces = bounces != null && bounces;
        soft = soft != null && soft;
        rolls = rolls != null && rolls;
        grips = grips != null && grips;
        bright = bright != null && bright;
        hard = hard != null && hard;
        makeMin = makeMin == null ? 0 : makeMin;
        make = make == null || make.isBlank() ? null : make.strip();
        never = never == null || never.isBlank() ? null : never.strip();
        Checks checks = new Checks().text("id", id, 60).text("name", name, 60).required("group", group);
        if (sizeCm != null) checks.range("sizeCm", sizeCm, 0.1, 500);
        if (openingCm != null) checks.range("openingCm", openingCm, 0.1, 500);
        if (massG != null) checks.range("massG", massG, 0, 20_000);
        if (make != null) checks.text("make", make, 200);
        if (never != null) checks.text("never", never, 120);
        checks.range("makeMin", makeMin, 0, 120).done();
    }

    public Set<KitProperty> properties() {
        Set<KitProperty> has = EnumSet.noneOf(KitProperty.class);
        if (bounces) has.add(KitProperty.BOUNCES);
        if (soft) has.add(KitProperty.SOFT);
        if (rolls) has.add(KitProperty.ROLLS);
        if (grips) has.add(KitProperty.GRIPS);
        if (bright) has.add(KitProperty.BRIGHT);
        return has;
    }

    /** As one says so many of it: 12 flat markers, 2 sticks with a pocket, 1 tennis ball. What ends in s is many already. */
    public String called(int count) {
        Matcher parts = HEAD.matcher(name);
        if (count == 1
                || !parts.matches()
                || parts.group(1).endsWith("s") && !parts.group(1).endsWith("ss")) return name;
        String one = parts.group(1);
        String many = one.matches(".*(s|x|z|ch|sh)")
                ? one + "es"
                : one.matches(".*[^aeiou]y") ? one.substring(0, one.length() - 1) + "ies" : one + "s";
        return many + (parts.group(2) == null ? "" : parts.group(2));
    }

    /** Whether anybody can bring or make one, so that it never runs out. */
    public boolean household() {
        return make != null && never == null;
    }
}
