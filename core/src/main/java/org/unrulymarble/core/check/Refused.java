package org.unrulymarble.core.check;

import java.util.List;

/** Thrown when a value cannot be what it claims to be. Carries every fault that was found, at least one. */
public final class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<Fault> faults;

    public Refused(List<Fault> faults) {
        super(faults.toString());
        this.faults = List.copyOf(faults);
    }

    public Refused(String field, Fault.Rule rule, Object... figures) {
        this(List.of(new Fault(field, rule, List.of(figures))));
    }

    public List<Fault> faults() {
        return faults;
    }
}
