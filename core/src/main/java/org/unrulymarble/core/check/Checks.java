package org.unrulymarble.core.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Collects the faults of one value, so that a person is told of all of them at once. Not thread-safe. */
public final class Checks {

    private final List<Fault> faults = new ArrayList<>();

    /** Greatest number of seconds anywhere: four hours. */
    public static final int MAX_SEC = 14_400;

    public Checks required(String field, Object value) {
        if (value == null) add(field, Fault.Rule.REQUIRED);
        return this;
    }

    /** Fails for null, NaN, infinities and anything outside {@code least..greatest}. */
    public Checks range(String field, Number value, double least, double greatest) {
        if (value == null) add(field, Fault.Rule.REQUIRED);
        else if (!(value.doubleValue() >= least && value.doubleValue() <= greatest))
            add(field, Fault.Rule.RANGE, plain(least), plain(greatest));
        return this;
    }

    /** As range, but the lower limit itself is refused. */
    public Checks above(String field, Number value, double limit, double greatest) {
        if (value == null) add(field, Fault.Rule.REQUIRED);
        else if (!(value.doubleValue() > limit && value.doubleValue() <= greatest))
            add(field, Fault.Rule.ABOVE, plain(limit), plain(greatest));
        return this;
    }

    /** Metres, 0 to 200. */
    public Checks length(String field, Double metres) {
        return range(field, metres, 0, 200);
    }

    /** Degrees between -90 and 90, neither of them reached. */
    public Checks angle(String field, Double deg) {
        return between(field, deg, -90, 90);
    }

    /** As range, but both limits are refused. */
    public Checks between(String field, Number value, double low, double high) {
        if (value == null) add(field, Fault.Rule.REQUIRED);
        else if (!(value.doubleValue() > low && value.doubleValue() < high))
            add(field, Fault.Rule.BETWEEN, plain(low), plain(high));
        return this;
    }

    /** Whole seconds, 0 to four hours. */
    public Checks seconds(String field, Integer value) {
        return range(field, value, 0, MAX_SEC);
    }

    /** Text that is not blank and at most {@code most} characters long. */
    public Checks text(String field, String value, int most) {
        if (value == null) add(field, Fault.Rule.REQUIRED);
        else if (value.isBlank() || value.length() > most) add(field, Fault.Rule.LENGTH, 1, most);
        return this;
    }

    /** Fails for null, too few, too many, and for each entry that is null. */
    public Checks entries(String field, Collection<?> list, int fewest, int most) {
        if (list == null) add(field, Fault.Rule.REQUIRED);
        else if (list.size() < fewest || list.size() > most) add(field, Fault.Rule.ENTRIES, fewest, most);
        else {
            int i = 0;
            for (Object entry : list) required(field + "[" + i++ + "]", entry);
        }
        return this;
    }

    public Checks distinct(String field, Collection<String> ids) {
        Set<String> seen = new HashSet<>();
        for (String id : ids) if (!seen.add(id)) add(field, Fault.Rule.TWICE, id);
        return this;
    }

    public Checks that(boolean holds, String field, Fault.Rule rule, Object... figures) {
        if (!holds) add(field, rule, figures);
        return this;
    }

    /** Takes over the faults of a part of the value. */
    public Checks under(String parent, Refused refused) {
        for (Fault f : refused.faults()) faults.add(f.under(parent));
        return this;
    }

    /** Throws {@link Refused} with everything found so far, if anything was. */
    public void done() {
        if (!faults.isEmpty()) throw new Refused(faults);
    }

    private void add(String field, Fault.Rule rule, Object... figures) {
        faults.add(new Fault(field, rule, List.of(figures)));
    }

    /** 60.0 reads better as 60; the cast holds since limits are far below 2^53. */
    private static Number plain(double limit) {
        if (limit == Math.rint(limit)) return (long) limit;
        return limit;
    }
}
