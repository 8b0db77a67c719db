package org.unrulymarble.server.account;

/** A teacher plans and runs; a helper runs and tallies. */
public enum Role {
    TEACHER,
    HELPER
}
