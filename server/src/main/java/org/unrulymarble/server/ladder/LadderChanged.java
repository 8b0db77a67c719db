package org.unrulymarble.server.ladder;

import java.util.List;

/** Ladders of the school's own were changed; told within the transaction that changes them. */
public record LadderChanged(List<String> ladderIds) {}
