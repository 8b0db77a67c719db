package org.unrulymarble.server.account;

/** What an account may do; which classes it sees is said by the classes. */
public enum Role {
    /** Says who may come in, and teaches where a class of its own is there. */
    ADMINISTRATOR,
    /** Plans and runs. */
    TEACHER,
    /** Runs and tallies. */
    HELPER;

    public boolean teaches() {
        return this != HELPER;
    }

    public boolean administrates() {
        return this == ADMINISTRATOR;
    }
}
